import { written } from './written';

/** What a question to the server is known by. A job is part of many, and is not written with everything that is drawn. */
export const hashOfKey = (key: readonly unknown[]): string => key.map((part) => written(part)).join('\n');
