<script lang="ts">
	import { Command, Dialog } from 'bits-ui';
	import { commands, type Command as Doable } from './commands.svelte.ts';

	const SCREENS: readonly (readonly [name: string, path: string, asks: string])[] = [
		['Shelf', '/shelf', 'design'],
		['Bench', '/bench', 'design'],
		['Stockroom', '/stockroom', 'books'],
		['Quotes', '/quotes', 'books'],
		['Jobs', '/jobs', 'work'],
		['Quick price', '/quick', 'quote'],
		['Shorthand and shortcuts', '/shorthand', 'design'],
		['Settings', '/settings', 'settings'],
		['Backups', '/settings/backups', 'people'],
		['What was changed', '/settings/changes', 'settings'],
		['People who sign in', '/settings/people', 'people'],
		['Your sign-in', '/me', 'read'],
		['What is to build', '/work', 'work']
	];
	interface Props {
		onopen: (path: string) => void;
		/** What whoever is signed in may do, by its names. */
		may: readonly string[];
	}
	let { onopen, may }: Props = $props();
	const screens: Doable[] = $derived([
		...(may.includes('design')
			? [{ name: 'New design', also: 'start make', group: 'Screens', run: () => onopen('/new') }]
			: []),
		...SCREENS.filter(([, , asks]) => may.includes(asks)).map(([name, path]) => ({
			name: `Go to ${name}`,
			group: 'Screens',
			run: () => onopen(path)
		}))
	]);
	const groups = $derived.by(() => {
		const all = [...commands.all, ...screens];
		return [...new Set(all.map((c) => c.group))].map((name) => ({
			name,
			own: all.filter((c) => c.group === name)
		}));
	});
	function keydown(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
		event.preventDefault();
		commands.open = !commands.open;
	}
	function run(command: Doable) {
		commands.open = false;
		// After the list is gone: what is run may open something or take the focus.
		setTimeout(command.run);
	}
</script>

<svelte:window onkeydown={keydown} />
<Dialog.Root bind:open={commands.open}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-black/40" />
		<Dialog.Content
			class="fixed top-[14vh] left-1/2 z-50 w-[560px] max-w-[94vw] -translate-x-1/2 bg-paper text-ink shadow-[var(--shadow)]"
		>
			<Dialog.Title class="sr-only">What to do</Dialog.Title>
			<Command.Root label="What to do">
				<Command.Input
					class="do-say"
					placeholder="What to do? A few letters are enough"
					aria-label="What to do"
				/>
				<Command.List class="do-list" tabindex={0}>
					<Command.Viewport>
						<Command.Empty class="do-none">Nothing by that name. Try another word.</Command.Empty>
						{#each groups as { name, own } (name)}
							<Command.Group value={name}>
								<Command.GroupHeading class="do-group">{name}</Command.GroupHeading>
								<Command.GroupItems>
									{#each own as command (command.name)}
										<Command.Item
											class="do-item"
											value={command.name}
											keywords={command.also ? command.also.split(' ') : []}
											onSelect={() => run(command)}
										>
											<span>{command.name}</span>
											{#if command.key}<span class="figures key">{command.key}</span>{/if}
										</Command.Item>
									{/each}
								</Command.GroupItems>
							</Command.Group>
						{/each}
					</Command.Viewport>
				</Command.List>
			</Command.Root>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>

<style>
	:global(.do-say) {
		width: 100%;
		border-bottom: 2px solid var(--ink);
		background: transparent;
		padding: 14px 18px;
		font-size: 16px;
		outline: none;
		box-shadow: none !important;
	}
	:global(.do-list) {
		max-height: 50vh;
		overflow: auto;
		padding: 6px 0 10px;
	}
	:global(.do-none) {
		padding: 14px 18px;
		color: var(--muted);
	}
	:global(.do-group) {
		padding: 10px 18px 2px;
		font-size: 12.6px;
		color: var(--muted);
	}
	:global(.do-item) {
		display: flex;
		justify-content: space-between;
		gap: 16px;
		padding: 6px 18px;
		cursor: pointer;
	}
	:global(.do-item[data-selected]) {
		background: var(--tint);
		box-shadow: inset 3px 0 0 var(--ink);
	}
	.key {
		font-size: 12.6px;
		color: var(--muted);
	}
</style>
