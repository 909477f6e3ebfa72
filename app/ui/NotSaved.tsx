import { useEffect, useRef } from 'react';
import type { FieldErrors } from '~/core/check/check';
import { Said } from './Notices';

/**
 * Over the fields of a form that was refused: what to do, with the first marked field in sight and ready to be
 * typed in. Nothing while nothing is wrong.
 */
export function NotSaved({ errors }: { errors: FieldErrors }) {
  const place = useRef<HTMLDivElement>(null);
  const wrong = Object.keys(errors).length > 0;
  useEffect(() => {
    if (!wrong) return;
    const marked = place.current
      ?.closest('form')
      ?.querySelector<HTMLElement>(
        'input[aria-invalid="true"], textarea[aria-invalid="true"], select[aria-invalid="true"]',
      );
    // Where no field is marked the notice itself is shown; else the focus brings the first marked one into sight.
    place.current?.scrollIntoView({ block: 'center' });
    marked?.focus();
  }, [errors, wrong]);
  return (
    <div ref={place} hidden={!wrong}>
      {wrong && (
        <Said kind="mind" word="Not saved yet" live>
          {errors[''] ?? 'Please look at the marked places; what you typed is still here.'}
        </Said>
      )}
    </div>
  );
}
