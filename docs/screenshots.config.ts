import { defineConfig } from '@playwright/test';
import tests from '../playwright.config';

/** As the end-to-end tests, with the pictures instead of the checks. */
export default defineConfig({
  ...tests,
  testDir: '../e2e',
  testMatch: 'pictures.ts',
  workers: 1,
  projects: [{ name: 'pictures' }],
});
