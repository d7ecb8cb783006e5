<script lang="ts">
	interface Props {
		formula: string;
		source: string;
		limits: string;
	}
	let { formula, source, limits }: Props = $props();
</script>

<dl class="about">
	<dt>How it is worked out</dt>
	<dd>{formula}</dd>
	<dt>Where it comes from</dt>
	<dd>{source}</dd>
	<dt>What it does not know</dt>
	<dd>{limits}</dd>
</dl>

<style>
	.about {
		display: grid;
		grid-template-columns: 170px minmax(0, 1fr);
		gap: 6px 18px;
		max-width: 860px;
		margin-top: 26px;
		font-size: 13.5px;
	}
	dt {
		color: var(--muted);
	}
	@media (max-width: 640px) {
		.about {
			grid-template-columns: 1fr;
			gap: 2px;
		}
		dd {
			margin-bottom: 8px;
		}
	}
</style>
