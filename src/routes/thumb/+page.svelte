<script lang="ts">
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Rules of thumb · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-5xl px-6 pb-12 max-sm:px-3">
	<h1 class="py-3 text-[25px]">Rules of thumb</h1>
	<ul class="grid gap-x-8 gap-y-5 sm:grid-cols-2">
		{#each data.rules as rule (rule.id)}
			<li>
				<a href="/thumb/{rule.id}" class="block min-h-[44px] border-t-2 border-ink py-2 hover:bg-tint">
					<b class="font-head text-[17px]">{rule.name}</b><br />
					<span class="text-muted">{rule.asks}</span>
				</a>
			</li>
		{/each}
	</ul>
	<section class="mt-10" aria-label="Sizing sheet">
		<h2 class="mb-1 text-[19px]">Sizing sheet</h2>
		<p class="mb-3 text-muted">
			Hole and strokes for the bench. Without a measured pump strokes stay a dash: they differ from pump to
			pump.
		</p>
		<div class="grid gap-8 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
			<table class="w-full border-t-2 border-ink bg-paper text-[14px]">
				<thead
					><tr class="text-muted"
						><th class="px-3 py-1 text-left font-medium">size, in</th>{#each data.pumps as pump (pump.id)}<th
								class="px-3 py-1 text-right font-medium">{pump.name}, strokes</th
							>{/each}</tr
					></thead
				>
				<tbody>
					{#each data.sizes as size, row (size)}
						<tr class="border-t border-line"
							><td class="figures px-3 py-1">hole {size}</td>{#each data.pumps as pump (pump.id)}<td
									class="figures px-3 py-1 text-right">{pump.strokes[row]}</td
								>{/each}</tr
						>
					{/each}
				</tbody>
			</table>
			<form action="/thumb/sizing-holes.pdf" class="grid content-start gap-3">
				<h3 class="text-[16px]">Holes to print and cut, in true size</h3>
				<Field
					label="Sizes, in"
					hint="with commas between; each page has a line of 4 in to check the printer by"
				>
					{#snippet children(attributes)}<input
							{...attributes}
							name="sizes"
							class="control figures w-full"
							value="8, 8½, 9, 10"
						/>{/snippet}
				</Field>
				<Field label="Paper">
					{#snippet children(attributes)}<select {...attributes} name="paper" class="control"
							><option value="letter">Letter</option><option value="a4">A4</option></select
						>{/snippet}
				</Field>
				<p><Button type="submit">The holes as a PDF</Button></p>
			</form>
		</div>
	</section>
</main>
