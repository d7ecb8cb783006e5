<script lang="ts">
	interface Props {
		used: Promise<{
			readonly designs: readonly { readonly id: string; readonly name: string; readonly used: number }[];
			readonly quotes: readonly { readonly id: string; readonly says: string; readonly state: string; readonly day: string | null; readonly taken: number }[]; // prettier-ignore
		} | null>;
		unit: string;
	}
	let { used, unit }: Props = $props();
	const text = (n: number) => `${Math.round(n * 10) / 10}${unit === 'piece' ? '' : ` ${unit}`}`;
</script>

<section class="mb-4 border border-line bg-paper p-4" aria-labelledby="used">
	<h2 id="used" class="text-[17px] font-semibold">Where it is used</h2>
	{#await used}
		<p class="text-muted">Looking through designs and quotes …</p>
	{:then found}
		{#if found === null}<p class="text-muted">That could not be looked up just now. Reload the page.</p>
		{:else if found.designs.length + found.quotes.length === 0}<p class="text-muted">
				In no kept design and no quote.
			</p>
		{:else}
			<div class="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
				<ul aria-label="Designs">
					{#each found.designs as design (design.id)}<li class="flex gap-3 border-b border-line py-1">
							<a class="hover:underline" href="/bench/{design.id}">{design.name}</a><span
								class="figures ml-auto">{text(design.used)}</span
							>
						</li>{/each}
				</ul>
				<ul aria-label="Quotes">
					{#each found.quotes as quote (quote.id)}<li class="flex gap-3 border-b border-line py-1">
							<a class="hover:underline" href="/quotes/{quote.id}">{quote.says}</a><span class="text-muted"
								>{quote.state}{quote.day ? `, ${quote.day}` : ''}</span
							><span class="figures ml-auto">{text(quote.taken)}</span>
						</li>{/each}
				</ul>
			</div>
		{/if}
	{/await}
</section>
