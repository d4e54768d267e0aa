import { BlockList, isIP } from 'node:net';
import type { RequestEvent } from '@sveltejs/kit';

/**
 * The operator names the proxies that stand before the app, as addresses or networks with commas between them
 * (`ORDERLY_PROXY=10.0.0.5,fd00::/8`), and the header in which they write whom they speak for (`ORDERLY_PROXY_HEADER`,
 * `x-forwarded-for` unless said otherwise). From anyone else the header says nothing.
 */
interface Proxies {
	list: BlockList;
	header: string;
}

const kindOf = (address: string) => (isIP(address) === 6 ? 'ipv6' : 'ipv4');
/** IPv4 as IPv6 sockets give it. */
const plain = (address: string) => address.trim().replace(/^::ffff:(?=\d+\.)/i, '');

/** @throws Error for what is no address */
export function proxiesFrom(proxies = '', header = 'x-forwarded-for'): Proxies {
	const list = new BlockList();
	for (const one of proxies
		.split(',')
		.map((text) => text.trim())
		.filter(Boolean)) {
		const [address, bits] = one.split('/');
		if (!isIP(address)) throw new Error(`ORDERLY_PROXY: “${one}” is no address or network.`);
		if (bits === undefined) list.addAddress(address, kindOf(address));
		else list.addSubnet(address, Number(bits), kindOf(address));
	}
	return { list, header };
}

/** The last address on the way that is not one of our proxies: what came before it anyone can write. */
export function clientBehind({ list, header }: Proxies, peer: string, headers: Headers): string {
	const way = [...(headers.get(header) ?? '').split(','), peer].map(plain);
	for (const address of way.reverse()) {
		if (!isIP(address)) return plain(peer);
		if (!list.check(address, kindOf(address))) return address;
	}
	return plain(peer);
}

let proxies: Proxies | undefined;

/** From which address a request comes. */
export function clientAddress(event: RequestEvent): string {
	proxies ??= proxiesFrom(process.env.ORDERLY_PROXY, process.env.ORDERLY_PROXY_HEADER);
	return clientBehind(proxies, event.getClientAddress(), event.request.headers);
}
