// Writes the passwords that everybody tries first where PHP reads them, one a line.
import { writeFileSync } from 'node:fs';
import passwords from '@zxcvbn-ts/language-common/dist/passwords.json.mjs';

writeFileSync('bootstrap/cache/common-passwords.txt', `${passwords.join('\n')}\n`);
