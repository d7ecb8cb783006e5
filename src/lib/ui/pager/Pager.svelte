<script lang="ts">
	interface Props {
		page: number;
		pages: number;
		/** Of what, for who hears the page. */
		label: string;
		href: (page: number) => string;
	}
	let { page, pages, label, href }: Props = $props();
</script>

{#if pages > 1}
	<nav class="flex items-center justify-center gap-4 py-4" aria-label={label}>
		{#if page > 1}<a class="quiet-link" href={href(page - 1)}>the page before</a>{/if}
		<span class="text-muted">page {page} of {pages}</span>
		{#if page < pages}<a class="quiet-link" href={href(page + 1)}>the next page</a>{/if}
	</nav>
{/if}
