import { describe, expect, it } from 'vitest';
import { addressFault, holdsUntil } from './pools';

describe('a standby', () => {
  const samples = [
    { at: 1000, bytes: 50 },
    { at: 2000, bytes: 80 },
    { at: 3000, bytes: 80 },
    { at: 4000, bytes: 120 },
  ];
  it('holds everything up to the last moment whose log it has', () => {
    expect(holdsUntil(samples, 119)).toBe(3000);
    expect(holdsUntil(samples, 120)).toBe(4000);
    expect(holdsUntil(samples, 500)).toBe(4000);
    expect(holdsUntil(samples, 49)).toBeUndefined();
    expect(holdsUntil([], 49)).toBeUndefined();
  });
});

describe('an address that is used', () => {
  it('is on this machine, or what goes there cannot be read on the way', () => {
    expect(addressFault('postgres://a@127.0.0.1:1,[::1]:2/x')).toBeUndefined();
    expect(addressFault('postgres://a@127.0.0.1,elsewhere/x')).toContain('elsewhere');
    expect(addressFault('postgres://a@one,two/x?sslmode=require')).toContain('one');
    expect(addressFault('postgres://a@one,two/x?sslmode=verify-full')).toBeUndefined();
  });
});
