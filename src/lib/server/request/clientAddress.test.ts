import { describe, expect, it } from 'vitest';
import { clientBehind, proxiesFrom } from './clientAddress';

const client = (proxies: string, peer: string, forwarded?: string, header?: string) =>
	clientBehind(
		proxiesFrom(proxies, header),
		peer,
		new Headers(forwarded === undefined ? {} : { [header ?? 'x-forwarded-for']: forwarded })
	);

describe('where a request comes from', () => {
	it('is who speaks to us, whatever the header says, unless that is a proxy of ours', () => {
		expect(client('', '10.0.0.1', '1.2.3.4')).toBe('10.0.0.1');
		expect(client('10.0.0.5', '10.0.0.1', '1.2.3.4')).toBe('10.0.0.1');
		expect(client('10.0.0.5', '::ffff:10.0.0.1')).toBe('10.0.0.1');
	});

	it('is whom our proxy speaks for: the last that is none of ours', () => {
		expect(client('10.0.0.5', '10.0.0.5', '1.2.3.4')).toBe('1.2.3.4');
		expect(client('10.0.0.5', '10.0.0.5', '6.6.6.6, 1.2.3.4')).toBe('1.2.3.4');
		expect(client('10.0.0.0/24,fd00::/8', 'fd00::1', '6.6.6.6, 2001:db8::7, 10.0.0.9')).toBe('2001:db8::7');
		expect(client('10.0.0.5', '10.0.0.5', '1.2.3.4', 'x-real-ip')).toBe('1.2.3.4');
	});

	it('is the proxy where it says nobody, or no address', () => {
		expect(client('10.0.0.5', '10.0.0.5')).toBe('10.0.0.5');
		expect(client('10.0.0.5', '10.0.0.5', 'unknown')).toBe('10.0.0.5');
		expect(client('10.0.0.5', '10.0.0.5', '10.0.0.5')).toBe('10.0.0.5');
	});

	it('is refused when the operator names what is no address', () => {
		expect(() => proxiesFrom('proxy.example')).toThrow('ORDERLY_PROXY');
	});
});
