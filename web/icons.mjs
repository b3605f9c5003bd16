// Makes the icon font of what the front end uses: .icons/icons.css and .icons/icons.woff2, from bootstrap-icons.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import subsetFont from 'subset-font';

const from = join(import.meta.dirname, 'node_modules/bootstrap-icons/font');
const css = readFileSync(join(from, 'bootstrap-icons.min.css'), 'utf8');

// A name that ends with - is put together as it is shown: every icon that begins so is taken.
const used = new Set();
for (const file of readdirSync(join(import.meta.dirname, 'src'), { recursive: true, encoding: 'utf8' }))
  if (/\.(tsx?|css)$/.test(file))
    for (const [name] of readFileSync(join(import.meta.dirname, 'src', file), 'utf8').matchAll(/\bbi-[a-z0-9-]+/g))
      used.add(name);

const rules = [...css.matchAll(/\.(bi-[a-z0-9-]+)::before\{content:"\\([0-9a-f]+)"\}/g)].filter(
  ([, name]) => used.has(name) || [...used].some((u) => u.endsWith('-') && name.startsWith(u)),
);
const known = new Set(rules.map(([, name]) => name));
const missing = [...used].filter((name) => !name.endsWith('-') && !known.has(name));
if (missing.length > 0) throw new Error(`there are no icons ${missing.join(', ')}`);

const font = await subsetFont(
  readFileSync(join(from, 'fonts/bootstrap-icons.woff2')),
  String.fromCodePoint(...rules.map(([, , code]) => parseInt(code, 16))),
  { targetFormat: 'woff2' },
);
const out = join(import.meta.dirname, '.icons');
mkdirSync(out, { recursive: true });
writeFileSync(join(out, 'icons.woff2'), font);
const base = css.slice(css.indexOf('.bi::before'), css.indexOf('}', css.indexOf('.bi::before')) + 1);
writeFileSync(
  join(out, 'icons.css'),
  `@font-face{font-display:block;font-family:bootstrap-icons;src:url("icons.woff2") format("woff2")}\n${base}\n${rules
    .map(([rule]) => rule)
    .join('\n')}\n`,
);
