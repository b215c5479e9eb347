// Reads an archive of Welcome: node docs/read-archive.mjs welcome-2031-03-04.zip plantings
import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';

const [archive, table] = process.argv.slice(2);
const files = unzipSync(readFileSync(archive));
const lines = strFromU8(files[`tables/${table}.jsonl`]).split('\n').filter(Boolean);
const rows = lines.map((line) => JSON.parse(line));
console.log(`${rows.length} rows of ${table}`);
for (const row of rows) console.log(row);
