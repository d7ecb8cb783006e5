import { backup } from './backup.ts';
import { buying } from './buying.ts';
import { planning } from './planning.ts';
import { cutting } from './cutting.ts';
import { carry } from './carry.ts';
import { keystrokes } from './keystrokes.ts';
import { lists } from './lists.ts';
import { long } from './long.ts';
import { pricing } from './pricing.ts';
import { quoteNumbers } from './quotes.ts';
import { numbers } from './numbers.ts';
import { picking } from './picking.ts';
import { reading } from './reading.ts';
import { recompute } from './recompute.ts';
import { shelf } from './shelf.ts';

/** `npm run bench`: the numbers to reach, measured. Ends with 1 where one is missed. */
const reached = [
	...recompute(),
	...long(),
	...reading(),
	...(await cutting()),
	...(await buying()),
	...planning(),
	...lists(),
	...pricing(),
	...(await quoteNumbers()),
	...(await numbers()),
	...(await shelf()),
	...(await keystrokes()),
	...(await picking()),
	...(await carry()),
	...(await backup())
];
console.log(`${reached.filter(Boolean).length} of ${reached.length} numbers reached`);
process.exitCode = reached.every(Boolean) ? 0 : 1;
