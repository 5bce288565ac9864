import { calls, lessons, type LessonId } from '@tender-crumb/core/practice';
import Joi from 'joi';
import { plainId } from './fields.ts';
import type { Practised } from '../store/practice.ts';

const lessonIds = Object.keys(lessons) as LessonId[];

/** What was called of a practice dough. */
export const practiceBody = Joi.object<Omit<Practised, 'at'>>({
  id: plainId.required(),
  lesson: Joi.valid(...lessonIds).required(),
  seed: Joi.number().integer().min(0).max(2_000_000_000).required(),
  call: Joi.when('lesson', {
    switch: lessonIds.map((lesson) => ({
      is: lesson,
      then: Joi.valid(...Object.keys(calls[lesson])),
    })),
  }).required(),
}).required();
