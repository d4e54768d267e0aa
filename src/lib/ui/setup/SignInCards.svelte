<!-- Cards by which students sign in, to be cut apart: 6 or 12 a page. -->
<script lang="ts">
	interface Props {
		sheet: {
			className: string;
			code: string;
			address: string;
			/** A square code of the address, as SVG. */
			code2d: string;
			cards: { id: number; name: string; pin: string | null }[];
		};
		schoolName: string;
		perPage: 6 | 12;
	}
	let { sheet, schoolName, perPage }: Props = $props();
	const pages = $derived(
		Array.from({ length: Math.ceil(sheet.cards.length / perPage) }, (_, i) =>
			sheet.cards.slice(i * perPage, (i + 1) * perPage)
		)
	);
	const image = $derived(`data:image/svg+xml;base64,${btoa(sheet.code2d)}`);
	const place = $derived(new URL(sheet.address).host);
</script>

{#each pages as cards, i (i)}
	<ul class:large={perPage === 6}>
		{#each cards as { id, name, pin } (id)}
			<li>
				<div class="words">
					<span class="soft">{schoolName}</span>
					<strong>{name}</strong>
					<dl>
						<dt>Class {sheet.className}</dt>
						<dd>{sheet.code}</dd>
						<dt>PIN</dt>
						<dd class:blank={pin === null}>{pin ?? ''}</dd>
					</dl>
					<span class="soft address">{place}</span>
				</div>
				<img src={image} alt="Opens the sign-in of class {sheet.className}" />
			</li>
		{/each}
	</ul>
{/each}

<style>
	ul {
		display: grid;
		grid-template-columns: 1fr 1fr;
		max-width: 190mm;
		margin: 0;
		padding: 0;
		list-style: none;
		break-after: page;
	}
	ul:last-child {
		break-after: auto;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 4mm;
		height: 42mm;
		padding: 4mm;
		background: var(--sheet);
		border: 1px dashed var(--rule-strong);
		margin: -1px 0 0 -1px;
		break-inside: avoid;
		overflow: hidden;
	}
	.large li {
		height: 84mm;
		font-size: 1.3rem;
	}
	.words {
		display: flex;
		flex-direction: column;
		min-width: 0;
	}
	strong {
		font: 600 1.15em var(--head);
		overflow-wrap: anywhere;
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0 3mm;
		margin: auto 0;
		align-items: baseline;
	}
	dd {
		margin: 0;
		font-size: 1.2em;
		font-weight: 650;
		letter-spacing: 0.08em;
		font-variant-numeric: tabular-nums lining-nums;
	}
	.blank {
		width: 3.5em;
		border-bottom: 1px solid var(--ink);
	}
	.address {
		font-size: 0.85em;
	}
	img {
		width: 26mm;
		height: 26mm;
	}
	.large img {
		width: 48mm;
		height: 48mm;
	}
	@page {
		margin: 10mm;
	}
</style>
