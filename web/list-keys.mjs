// Writes by which fields the things of each list of a job are told apart, as the contract has it.
import { argv } from 'node:process';
import { readFileSync, writeFileSync } from 'node:fs';

const [contract, target] = argv.slice(2);
const keys = JSON.parse(readFileSync(contract, 'utf8'))['x-list-keys'];
writeFileSync(target, `${JSON.stringify(keys, null, 2)}\n`);
