import { readdirSync } from 'node:fs';
import { join } from 'node:path';

/** All files below a folder, by their paths from here. */
export const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name));

/** What is text, and so is put into a language and compressed. */
export const isText = (file: string): boolean => /\.(js|css|html|svg|webmanifest|json|txt)$/.test(file);
