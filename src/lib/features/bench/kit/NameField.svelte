<script lang="ts">
	import TypedField from '../../../ui/typed/TypedField.svelte';

	interface Props {
		value: string;
		/** Said where it is left blank. */
		missing: string;
		onname: (name: string) => void;
	}
	let { value, missing, onname }: Props = $props();
</script>

<!-- What a part is called: never blank, no longer than the document takes. -->
<TypedField
	label="Name"
	{value}
	use={(text) => {
		const name = text.trim().slice(0, 80);
		if (name) onname(name);
		return name ? '' : missing;
	}}
/>
