import { defineConfig } from 'drizzle-kit';

// Paths are relative to the project root, where the script runs.
export default defineConfig({ dialect: 'postgresql', schema: './server/db/schema/*.ts', out: './server/drizzle' });
