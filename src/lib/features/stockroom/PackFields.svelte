<script lang="ts">
	import Field from '../../ui/field/Field.svelte';
	import TextField from '../../ui/field/TextField.svelte';

	interface Props {
		/** The pack as it is; nothing is a new one. */
		pack?: { supplierId?: string | undefined; count: number; price: string; deposit: string; breaksText: string; suppliersName?: string | undefined; code?: string | undefined; since?: string | undefined; until?: string | undefined; usual?: true | undefined; ended?: true | undefined }; // prettier-ignore
		typed?: Readonly<Record<string, string>> | undefined;
		errors: Readonly<Record<string, string>>;
		suppliers: readonly { readonly id: string; readonly name: string }[];
		/** A new one: its supplier may be new as well. */
		another?: boolean;
	}
	let { pack, typed, errors, suppliers, another = false }: Props = $props();
	const now = $derived<Readonly<Record<string, string>>>(
		typed ?? {
			supplier: pack?.supplierId ?? suppliers[0]?.id ?? '',
			count: pack ? String(pack.count) : '',
			price: pack?.price ?? '',
			deposit: pack?.deposit ?? '',
			breaks: pack?.breaksText ?? '',
			suppliersName: pack?.suppliersName ?? '',
			code: pack?.code ?? '',
			since: pack?.since ?? '',
			until: pack?.until ?? '',
			usual: pack?.usual ? 'on' : '',
			ended: pack?.ended ? 'on' : ''
		}
	);
</script>

{#snippet line(label: string, name: string, placeholder = '', type: 'text' | 'date' = 'text')}
	<TextField {label} {name} value={now[name]} error={errors[name]} {placeholder} {type} />
{/snippet}

<Field label="Supplier" error={errors.supplier}>
	{#snippet children(attributes)}
		<select {...attributes} name="supplier" class="control w-full min-w-0" value={now.supplier}
			>{#each suppliers as supplier (supplier.id)}<option value={supplier.id}>{supplier.name}</option
				>{/each}</select
		>
	{/snippet}
</Field>
{#if another}{@render line('… or a new one, by its name', 'newSupplier', 'Lantern Lane Trade Counter')}{/if}
{@render line('Pieces in a pack', 'count', '100')}
{@render line('Price (blank: not known)', 'price', '16.50')}
{@render line('Price breaks, in packs', 'breaks', '5 at 15.20; 10 at 14.00')}
{@render line('Deposit, comes back', 'deposit', '60.00')}
{@render line('What they call it', 'suppliersName')}
{@render line('Order code', 'code')}
{@render line('Costs that since', 'since', '', 'date')}
{@render line('Sale until (blank: no sale)', 'until', '', 'date')}
<label class="flex min-h-8 items-center gap-2 self-end"
	><input type="checkbox" name="usual" checked={now.usual === 'on'} /> the one usually bought</label
>
{#if !another}<label class="flex min-h-8 items-center gap-2 self-end"
		><input type="checkbox" name="ended" checked={now.ended === 'on'} /> not sold any more</label
	>{/if}
