import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { everyPage } from './every-page.ts';

export default defineConfig({ plugins: [tailwindcss(), sveltekit(), everyPage()] });
