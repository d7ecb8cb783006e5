<script lang="ts">
	/** A person of 5′ 6″ for scale, in millimetres, standing at the origin. */
</script>

<g fill="var(--person)">
	<circle cx="0" cy="-1575" r="102" />
	<path
		d="M-182 -1270Q-180 -1430 0 -1440Q180 -1430 182 -1270L168 -850Q166 -826 142 -826Q120 -826 118 -850L112 -1010L96 -40Q94 0 58 0Q24 0 22 -40L8 -780H-8L-22 -40Q-24 0 -58 0Q-94 0 -96 -40L-112 -1010L-118 -850Q-120 -826 -142 -826Q-166 -826 -168 -850Z"
	/>
</g>
