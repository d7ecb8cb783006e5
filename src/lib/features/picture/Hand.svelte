<!-- A hand held up beside a small piece: 190 mm from the wrist to the middle finger. Units are mm, its wrist at 0. -->
<g fill="var(--person)">
	<path d="M-30 0 C-36 -40 -42 -70 -40 -100 L40 -100 C44 -66 36 -36 30 0 Z" />
	<rect x="-41" y="-168" width="18" height="84" rx="9" />
	<rect x="-20" y="-190" width="19" height="106" rx="9.5" />
	<rect x="2" y="-182" width="19" height="98" rx="9.5" />
	<rect x="24" y="-154" width="16" height="70" rx="8" />
	<rect x="-50" y="-112" width="19" height="88" rx="9.5" transform="rotate(-32 -40 -34)" />
</g>
