import { afterEach, expect, it, vi } from 'vitest';
import { fetchTheRest, later } from './later';

afterEach(() => vi.unstubAllGlobals());

it('fetches what no screen showed yet, and nothing for those who save data', async () => {
    const fetch = vi.fn(async () => () => null);
    later(fetch);
    vi.stubGlobal('window', {});
    vi.stubGlobal('navigator', { connection: { saveData: true } });
    await fetchTheRest();
    expect(fetch).not.toHaveBeenCalled();
    vi.stubGlobal('navigator', {});
    await fetchTheRest();
    expect(fetch).toHaveBeenCalledOnce();
});
