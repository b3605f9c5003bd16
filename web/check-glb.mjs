// Reads a binary glTF from standard input with a validator that is not ours and writes what it
// says as JSON: used by the tests of the exchange.
import { readFileSync, writeSync } from 'node:fs';

import validator from 'gltf-validator';

const report = await validator.validateBytes(new Uint8Array(readFileSync(0)), { maxIssues: 20 });
writeSync(1, JSON.stringify(report));
