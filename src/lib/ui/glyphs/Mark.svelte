<script lang="ts">
	let { size = 22 }: { size?: number } = $props();
</script>

<svg width={size} height={size} viewBox="0 0 20 20" aria-hidden="true">
	<rect width="20" height="20" rx="3" fill="#0F6B6B" />
	<path d="M10 3.2 13 9.4H10.7V17H9.3V9.4H7Z" fill="#FAF7F0" />
</svg>
