import { useEffect } from 'react';
import { useFetcher } from '~/app/ui/sending';
import type { CopyVerdict } from '~/core/kits/verdict';

/** A hand that is still typing asks for nothing. */
const PAUSE_MS = 150;

/** The verdict at an address, asked for anew whenever the address changes; the last one stays until the next is there. */
export function useVerdict(address: string | undefined): CopyVerdict | undefined {
  const { load, data } = useFetcher<{ verdict: CopyVerdict }>();
  useEffect(() => {
    if (!address) return undefined;
    const timer = setTimeout(() => void load(address), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [address, load]);
  return data?.verdict;
}
