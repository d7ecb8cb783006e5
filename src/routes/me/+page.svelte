<script lang="ts">
	import { enhance } from '$app/forms';
	import NewPassword from '$lib/features/people/NewPassword.svelte';
	import { ROLES } from '$lib/features/people/roles.ts';
	import SecondStep from '$lib/features/people/SecondStep.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const errors = $derived((form && 'errors' in form ? form.errors : {}) as Record<string, string>);
	const done = $derived((form && 'done' in form && form.done) || '');
	const SAYS: Readonly<Record<string, string>> = {
		password: 'Your password is changed, and you are signed out everywhere else.',
		session: 'Signed out there.',
		'step on': 'From now on a second step follows your password.',
		'step off': 'The second step is off.'
	};
	const role = $derived(data.person && ROLES[data.person.role]);
</script>

<svelte:head><title>Your sign-in · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[680px] px-6 pb-14 max-sm:px-4">
	<header class="flex flex-wrap items-baseline gap-x-4 pt-5 pb-1">
		<h1 class="text-[25px]">{data.person?.name}</h1>
		<p class="text-muted">{data.email}</p>
		<form method="post" action="/sign-out" class="ml-auto"><Button type="submit">Sign out</Button></form>
	</header>
	{#if role}<p class="text-muted">You sign in as {role.name}: {role.sees}.</p>{/if}
	{#if done}<div class="pt-3"><Notice level="good" live>{SAYS[done]}</Notice></div>{/if}

	<section class="part" aria-labelledby="password-title">
		<h2 id="password-title">Your password</h2>
		<form method="post" action="?/password" class="grid gap-4 sm:grid-cols-2" use:enhance>
			<input type="hidden" name="username" value={data.email} autocomplete="username" />
			<Field label="The one of now" error={errors.now}>
				{#snippet children(attributes)}
					<input
						{...attributes}
						name="now"
						type="password"
						class="control w-full"
						autocomplete="current-password"
					/>
				{/snippet}
			</Field>
			<NewPassword label="The new one" error={errors.password} />
			<p><Button type="submit">Change it</Button></p>
		</form>
	</section>

	<section class="part" aria-labelledby="where-title">
		<h2 id="where-title">Where you are signed in</h2>
		<ul class="border-t border-line">
			{#each data.sessions as session (session.id)}
				<li class="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
					<span class="grow"
						><b>{session.browser}</b>
						<span class="text-muted"
							>since {session.since}{session.address ? `, from ${session.address}` : ''}</span
						></span
					>
					{#if session.isThis}<span class="text-muted">this one</span>{:else}
						<form method="post" action="?/end" use:enhance>
							<input type="hidden" name="id" value={session.id} />
							<button class="quiet-link min-h-[34px]">Sign out there</button>
						</form>
					{/if}
				</li>
			{/each}
		</ul>
		{#if data.sessions.length > 1}
			<form method="post" action="?/endOthers" class="pt-3" use:enhance>
				<Button type="submit">Sign out everywhere else</Button>
			</form>
		{/if}
	</section>

	<SecondStep on={data.secondStep} step={form && 'step' in form ? form.step : undefined} {done} {errors} />
</main>

<style>
	.part {
		padding-top: 30px;
	}
	.part h2 {
		font-size: 18px;
		padding-bottom: 8px;
	}
</style>
