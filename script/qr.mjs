// Prints an address as a code that a phone's camera reads, in characters.
import { renderUnicodeCompact } from 'uqr';

console.log(renderUnicodeCompact(process.argv[2], { border: 2 }));
