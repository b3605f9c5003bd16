import { written } from './written';

/** Reads an answer that comes in lines of JSON, and tells each as it comes. */
export async function readLines<T>(
  path: string,
  body: object,
  signal: AbortSignal,
  tell: (line: T) => void,
): Promise<void> {
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: written(body),
    signal,
  });
  if (!response.ok || !response.body) {
    const problem = (await response.json()) as { detail?: string };
    throw new Error(problem.detail ?? 'It was refused.');
  }
  const reader = response.body.getReader();
  const text = new TextDecoder();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    const lines = (rest + (value ? text.decode(value, { stream: true }) : '')).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line !== '') tell(JSON.parse(line) as T);
    if (done) return;
  }
}
