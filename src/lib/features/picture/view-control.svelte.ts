/** How close a picture is looked at: a zoom about a point of the screen, and where that puts it. CSS pixels. */
export class ViewControl {
	zoom = $state(1);
	x = $state(0);
	y = $state(0);

	/** Closer or farther, so that what is under the point stays under it. */
	closer(by: number, at: { readonly x: number; readonly y: number }) {
		const next = Math.max(1, Math.min(8, this.zoom * by));
		const k = next / this.zoom;
		this.zoom = next;
		if (next === 1) this.whole();
		else {
			this.x = at.x + (this.x - at.x) * k;
			this.y = at.y + (this.y - at.y) * k;
		}
	}
	move(dx: number, dy: number) {
		if (this.zoom === 1) return;
		this.x += dx;
		this.y += dy;
	}
	whole() {
		this.zoom = 1;
		this.x = 0;
		this.y = 0;
	}
}
