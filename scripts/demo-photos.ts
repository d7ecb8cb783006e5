import { mkdirSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { catalogue } from '../src/lib/core/materials/catalogue.ts';
import { drawAssembly } from '../src/lib/core/scene/draw-list.ts';
import { boxHeight, svgOf } from '../src/lib/core/scene/svg.ts';
import { assemble } from '../src/lib/core/assembly/assemble.ts';
import { demoDesigns, PHOTOGRAPHED } from './demo/designs.ts';
import { HALL } from './demo/life.ts';
import { demoRecipe } from './demo/load.ts';
import { colours, stockRows } from './demo/stock.ts';

/** Makes the demo's photos from the pictures of its designs, before a made-up wall. Run when those designs change. */
const library = new Map(demoDesigns.map((d) => [d.id, demoRecipe(d)]));
const stock = catalogue(
	stockRows.map((r) => ({ ...r.material, packs: [] })),
	colours
);
const [WIDTH, HEIGHT] = [720, 960];
mkdirSync('scripts/demo/photos', { recursive: true });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
	const page = await browser.newPage({ viewport: { width: WIDTH, height: HEIGHT } });
	for (const { design } of PHOTOGRAPHED) {
		const assembly = assemble(library.get(design)!, null, (id) => library.get(id));
		const camera = { turn: 0.35, tilt: 0.12 };
		const list = drawAssembly(assembly, { catalogue: stock, view: 'front', camera });
		const scale = Math.min(780 / boxHeight(list), 600 / (2 * list.halfWidth));
		const size = `width:${2 * list.halfWidth * scale}px;height:${boxHeight(list) * scale}px`;
		await page.setContent(`<body style="margin:0;height:100vh;background:linear-gradient(#c9c4ba 0 70%,#8d8577 70%)">
			<div style="position:absolute;left:50%;bottom:90px;translate:-50%;filter:drop-shadow(14px 8px 12px rgb(0 0 0/.35))">
			${svgOf(list).replace('<svg ', `<svg style="${size};display:block" `)}</div></body>`);
		const photo = await page.screenshot({ type: 'jpeg', quality: 78 });
		writeFileSync(`scripts/demo/photos/${design}.jpg`, photo);
		console.log(`${design}: ${Math.round(photo.length / 1024)} KB`);
	}
	// A made-up hall, drawn here: its door is 6 ft 8 in tall, from a third down to where the wall ends.
	const { door, size } = HALL;
	const hall = await browser.newPage({ viewport: size });
	await hall.setContent(`<body style="margin:0;height:100vh;position:relative;background:linear-gradient(#ded8cb 0 ${door.foot}px,#a08c6e ${door.foot}px,#8b775b)">
		<div style="position:absolute;left:0;right:0;top:${door.foot - 10}px;height:10px;background:#f4f0e6"></div>
		<div style="position:absolute;left:${door.x - 62}px;top:${door.top}px;width:124px;height:${door.foot - door.top}px;background:#6f8577;border:8px solid #f4f0e6;border-bottom:0;box-sizing:border-box"></div>
		<div style="position:absolute;left:${door.x + 34}px;top:${(door.top + door.foot) / 2}px;width:10px;height:10px;border-radius:5px;background:#d9b65c"></div>
		<div style="position:absolute;right:70px;top:150px;width:210px;height:150px;background:#b9d3e0;border:9px solid #f4f0e6"></div></body>`);
	const place = await hall.screenshot({ type: 'jpeg', quality: 80 });
	writeFileSync('scripts/demo/photos/hall.jpg', place);
	console.log(`hall: ${Math.round(place.length / 1024)} KB`);
} finally {
	await browser.close();
}
