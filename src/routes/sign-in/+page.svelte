<script lang="ts">
	import { enhance } from '$app/forms';
	import DoorPage from '$lib/features/people/DoorPage.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const errors = $derived((form?.errors ?? {}) as Record<string, string>);
	let busy = $state(false);
</script>

<DoorPage title="Sign in">
	{#if data.changed}<div class="pb-4">
			<Notice level="good" live>Your password is changed. Sign in with it.</Notice>
		</div>{/if}
	<form
		method="post"
		class="grid gap-4"
		use:enhance={() => {
			busy = true;
			return async ({ update }) => {
				await update({ reset: false });
				busy = false;
			};
		}}
	>
		<input type="hidden" name="to" value={data.to} />
		<Field label="E-mail address" error={errors.email}>
			{#snippet children(attributes)}
				<input
					{...attributes}
					name="email"
					type="email"
					class="control w-full"
					defaultValue={form?.typed.email ?? ''}
					autocomplete="username"
				/>
			{/snippet}
		</Field>
		<Field label="Password" error={errors.password}>
			{#snippet children(attributes)}
				<input
					{...attributes}
					name="password"
					type="password"
					class="control w-full"
					autocomplete="current-password"
				/>
			{/snippet}
		</Field>
		<p class="flex items-center gap-4 pt-1">
			<Button kind="strong" type="submit" disabled={busy}>Sign in</Button>
			<a class="quiet-link" href="/forgot">A new password</a>
		</p>
	</form>
	{#if data.demo.length > 0}
		<section class="mt-8 border-t border-line pt-4" aria-labelledby="demo-as">
			<h2 id="demo-as" class="text-[15px] font-semibold">This is the demo: come in as</h2>
			<ul class="pt-2">
				{#each data.demo as one (one.email)}
					<li>
						<form method="post" use:enhance>
							<input type="hidden" name="to" value={data.to} />
							<input type="hidden" name="email" value={one.email} />
							<input type="hidden" name="password" value={one.password} />
							<button class="as"><b>{one.name}</b>, {one.words}</button>
						</form>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</DoorPage>

<style>
	.as {
		min-height: 40px;
		width: 100%;
		text-align: left;
		border-bottom: 1px solid var(--line);
	}
	.as:hover {
		background: var(--tint);
	}
</style>
