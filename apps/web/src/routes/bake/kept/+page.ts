import { redirect } from '@sveltejs/kit';
import type { PageLoad } from './$types';

/**
 * The program without any page in it: what a browser opens at the address of a bake that was begun while the server was
 * away, and that no server ever made a page of. The page is then made from what the browser keeps.
 */
export const ssr = false;

/** Opened by itself it is nobody's page. */
export const load: PageLoad = () => redirect(303, '/bake');
