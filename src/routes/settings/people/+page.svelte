<script lang="ts">
	import { enhance } from '$app/forms';
	import CopyLink from '$lib/features/people/CopyLink.svelte';
	import { ROLES, type RoleName } from '$lib/features/people/roles.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const names = Object.keys(ROLES) as RoleName[];
	const errors = $derived((form && 'errors' in form ? form.errors : {}) as Record<string, string>);
	const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
	const link = $derived(form && 'link' in form ? { href: form.link ?? '', name: form.for ?? '' } : undefined);
	const sayOf = (id: string) => (form && 'person' in form && form.person === id ? form.say : '');
	/** Whose access is about to end: asked once more. */
	let asked = $state('');
</script>

<svelte:head><title>People · Settings · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[960px] px-[22px] pb-14 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/settings">Settings</a></p>
		<h1 class="text-[25px]">People who sign in</h1>
	</header>
	<ul class="border-t-2 border-ink bg-paper">
		{#each data.people as person (person.id)}
			<li class="border-b border-line px-4 py-2.5" aria-label={person.name}>
				<div
					class="grid grid-cols-[1fr_230px_170px_auto] items-center gap-x-5 gap-y-1.5 max-md:grid-cols-[1fr]"
				>
					<span class="min-w-0"
						><b>{person.name}</b>{#if person.id === data.self}, you{/if}
						<span class="block text-muted"
							>{person.email}{person.secondStep ? ', with a second step' : ''}</span
						></span
					>
					<form method="post" action="?/role" class="flex items-center gap-2" use:enhance>
						<input type="hidden" name="id" value={person.id} />
						<select
							name="role"
							class="control"
							aria-label="What {person.name} does"
							title={ROLES[person.role].sees}
						>
							{#each names as role (role)}<option value={role} selected={role === person.role}
									>{ROLES[role].name}</option
								>{/each}
						</select>
						<Button type="submit" aria-label="Change what {person.name} does">Change</Button>
					</form>
					<span class="text-[13px] text-muted">
						{#if person.signedIn > 0}signed in, last {person.lastSeen}{:else}not signed in{/if}
					</span>
					<span class="flex justify-end gap-4 max-md:justify-start md:w-[190px]">
						{#if person.id !== data.self && person.signedIn > 0}
							<form method="post" action="?/signOut" use:enhance>
								<input type="hidden" name="id" value={person.id} />
								<button class="quiet-link min-h-[34px]" aria-label="Sign {person.name} out">Sign out</button>
							</form>
						{/if}
						{#if person.id !== data.self}
							{#if asked === person.id}
								<form method="post" action="?/end" class="flex gap-3" use:enhance>
									<input type="hidden" name="id" value={person.id} />
									<button class="quiet-link min-h-[34px] font-semibold text-bad"
										>Let {person.name} in no more</button
									>
									<button type="button" class="quiet-link" onclick={() => (asked = '')}>Keep</button>
								</form>
							{:else}
								<button
									type="button"
									class="quiet-link min-h-[34px]"
									aria-label="End access of {person.name}"
									onclick={() => (asked = person.id)}>End access</button
								>
							{/if}
						{/if}
					</span>
				</div>
				{#if sayOf(person.id)}<div class="pt-1">
						<Notice level="bad" live>{sayOf(person.id)}</Notice>
					</div>{/if}
			</li>
		{/each}
	</ul>
	{#if data.gone.length > 0}
		<p class="pt-2 text-[13px] text-muted">
			Let in no more: {data.gone.map((g) => `${g.name} (since ${g.since})`).join(', ')}. What they wrote stays
			theirs; an invitation lets them in again.
		</p>
	{/if}

	<section class="pt-8" aria-labelledby="invite-title">
		<h2 id="invite-title" class="text-[18px]">Invite somebody</h2>
		<p class="pb-3 text-muted">You get a link to hand on. It holds for a week and works once.</p>
		<form method="post" action="?/invite" class="grid gap-4" use:enhance>
			<input type="hidden" name="id" value={data.fresh} />
			<div class="max-w-[320px]">
				<Field label="Their name" error={errors.name}>
					{#snippet children(attributes)}
						<input
							{...attributes}
							name="name"
							class="control w-full"
							value={typed.name ?? ''}
							autocomplete="off"
						/>
					{/snippet}
				</Field>
			</div>
			<fieldset class="grid gap-1">
				<legend class="text-[13px] font-medium text-muted">What they do, and so what they see</legend>
				{#each names as role (role)}
					<label class="flex min-h-[34px] items-center gap-2.5">
						<input type="radio" name="role" value={role} checked={role === (typed.role || 'crew')} />
						<span><b>{ROLES[role].name}</b>: {ROLES[role].sees}</span>
					</label>
				{/each}
				{#if errors.role}<p class="text-[13px] text-bad">{errors.role}</p>{/if}
			</fieldset>
			<p><Button kind="strong" type="submit">Make the link</Button></p>
		</form>
		{#if link}<CopyLink href={link.href} says="For {link.name}, shown this once:" />{/if}
		{#if data.invited.length > 0}
			<h3 class="pt-6 text-[15px] font-semibold">Links that wait</h3>
			<ul class="border-t border-line">
				{#each data.invited as one (one.id)}
					<li class="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
						<span class="grow"
							><b>{one.name || 'somebody'}</b>, {ROLES[one.role].name}
							<span class="text-muted">until {one.until}</span></span
						>
						<form method="post" action="?/takeBack" use:enhance>
							<input type="hidden" name="id" value={one.id} />
							<button class="quiet-link min-h-[34px]" aria-label="Take back the link of {one.name}"
								>Take it back</button
							>
						</form>
					</li>
				{/each}
			</ul>
		{/if}
	</section>

	{#if data.letters.length > 0}
		<section class="pt-8" aria-labelledby="letters-title">
			<h2 id="letters-title" class="text-[18px]">Letters with a new password</h2>
			<p class="pb-2 text-muted">Nothing is sent from here by itself: hand them on to whom they are for.</p>
			<ul class="border-t border-line">
				{#each data.letters as letter (letter.id)}
					<li class="border-b border-line py-2">
						<details>
							<summary class="min-h-[34px] cursor-pointer"
								>{letter.to}: {letter.subject} <span class="text-muted">{letter.at}</span></summary
							>
							<p class="pt-1 break-words whitespace-pre-line">{letter.body}</p>
						</details>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</main>
