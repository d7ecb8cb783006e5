import { soups } from './reading.ts';

const COUNT = Number(process.argv[2] ?? 50_000);
const { slowest, text, over, misread } = soups(COUNT);
console.log(`${COUNT} soups of words: slowest ${slowest.toFixed(1)} ms (“${text}”), ${over} over 5 ms, ${misread.length} read as what is not understood`); // prettier-ignore
process.exitCode = over === 0 && misread.length === 0 ? 0 : 1;
