/** The texts that stand in the sources: of pages between their tags, and of modules in quotes; each with file and line. */
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parse } from 'svelte/compiler';
import ts from 'typescript';
import { wordsOf } from './seen.ts';

export interface Written {
  readonly text: string;
  readonly at: string;
}

/** Where texts for people are written; what the server says to programs is none. */
const folders = ['apps/web/src/lib', 'apps/web/src/routes', 'packages/core/src'];
const told = /^(?:aria-label|title|placeholder|alt|label|hint|says|name)$/u;

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((f) => f.isFile() && /\.(?:svelte|ts)$/u.test(f.name) && !f.name.endsWith('.d.ts'))
    .map((f) => join(f.parentPath, f.name))
    .sort();

/** A text for people: two words or more with a space between, and no code, path or class list. */
const isForPeople = (text: string): boolean =>
  wordsOf(text).length > 1 &&
  /[a-z] \S/u.test(text) &&
  !/^[\w-]+(?: [\w:[\]().%/-]*[-:/[][\w:[\]().%/-]*)+$|[{};]|=>|^\s*[./#@]/u.test(text);

function ofModule(source: string, at: (offset: number) => string): Written[] {
  const found: Written[] = [];
  const file = ts.createSourceFile('x.ts', source, ts.ScriptTarget.ESNext, true);
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isLiteralTypeNode(node))
      return;
    if (ts.isNewExpression(node) && /Error$/u.test(node.expression.getText())) {
      if (!/Fault|Refus/u.test(node.expression.getText())) return;
    }
    if (ts.isStringLiteralLike(node)) {
      if (isForPeople(node.text)) found.push({ text: node.text, at: at(node.getStart()) });
    } else if (ts.isTemplateExpression(node)) {
      const text =
        node.head.text + node.templateSpans.map((span) => `…${span.literal.text}`).join('');
      if (isForPeople(text)) found.push({ text, at: at(node.getStart()) });
      node.templateSpans.forEach((span) => visit(span.expression));
      return;
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

interface Node {
  readonly type: string;
  readonly start: number;
  readonly end: number;
  readonly data?: string;
  readonly name?: string;
  readonly [key: string]: unknown;
}

/** Text between tags: runs of text and figures that stand in one element are one text. */
function ofPage(source: string, at: (offset: number) => string): Written[] {
  const found: Written[] = [];
  const { fragment, instance, module } = parse(source, { modern: true }) as unknown as {
    fragment: Node;
    instance?: Node;
    module?: Node;
  };
  for (const script of [instance, module]) {
    if (!script) continue;
    const { start, end } = script['content'] as Node;
    found.push(...ofModule(source.slice(start, end), (offset) => at(start + offset)));
  }
  const expression = (node: Node | undefined): void => {
    if (!node || typeof node.start !== 'number') return;
    const { start, end } = node;
    found.push(...ofModule(`(${source.slice(start, end)})`, (offset) => at(start + offset)));
  };
  const visit = (node: unknown): void => {
    if (Array.isArray(node)) return node.forEach(visit);
    if (typeof node !== 'object' || node === null) return;
    const { type, nodes } = node as { type?: string; nodes?: Node[] };
    if (type === 'Fragment') {
      let run = '';
      let begun = 0;
      const end = () => {
        const text = run.replace(/\s+/gu, ' ').trim();
        if (isForPeople(text)) found.push({ text, at: at(begun) });
        run = '';
      };
      for (const child of nodes ?? []) {
        const inner =
          /^(?:RegularElement)$/u.test(child.type) &&
          /^(?:b|em|strong|i|span|small)$/u.test(child.name ?? '');
        if (child.type === 'Text') {
          if (run.trim() === '') begun = child.start;
          run += child.data ?? '';
        } else if (child.type === 'ExpressionTag') run += '…';
        else if (!inner) end();
        visit(child);
      }
      end();
      return;
    }
    if (type === 'ExpressionTag') return expression((node as Node)['expression'] as Node);
    if (type === 'Attribute') {
      const { name, value } = node as unknown as { name: string; value: unknown };
      for (const part of Array.isArray(value) ? (value as Node[]) : [value as Node]) {
        if (part?.type === 'ExpressionTag') expression(part['expression'] as Node);
        else if (part?.type === 'Text' && told.test(name) && isForPeople(part.data ?? ''))
          found.push({ text: part.data!, at: at(part.start) });
      }
      return;
    }
    for (const [key, child] of Object.entries(node))
      if (!['start', 'end', 'loc', 'expression', 'context', 'test'].includes(key)) visit(child);
  };
  visit(fragment);
  return found;
}

/** Every text of the sources under a folder of the project. */
export function written(root: string): Written[] {
  return folders.flatMap((folder) =>
    filesIn(join(root, folder)).flatMap((file) => {
      const source = readFileSync(file, 'utf8');
      const at = (offset: number) =>
        `${relative(root, file)}:${source.slice(0, offset).split('\n').length}`;
      return file.endsWith('.svelte') ? ofPage(source, at) : ofModule(source, at);
    }),
  );
}
