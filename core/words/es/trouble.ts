import type { Messages } from '~/core/words/message';

export const trouble: Messages = {
  'away.title': 'Un momento, por favor',
  'away.text':
    'Ahora no se puede llegar a los datos de la escuela. Lo que ya estaba guardado está a salvo. Si acaban de enviar algo, miren si llegó antes de enviarlo otra vez. Prueben de nuevo en un minuto.',
  'busy.title': 'Hay mucha gente aquí ahora mismo',
  'busy.text':
    'Esta página no pudo prepararse a tiempo. Lo que se guardó antes está a salvo. Esperen unos segundos y vuelvan a intentarlo.',
  'twice.title': 'Ya se envió',
  'twice.text':
    'Esto ya se había enviado y todavía no se sabe si se hizo. No se hizo por segunda vez. Abran la página de nuevo y miren antes de enviarlo otra vez.',
  'empty.title': 'Todavía no está listo',
  'empty.text':
    'Los datos de esta escuela no están preparados para esta versión. Quien cuida el servidor lo hace con una orden: npm run migrate.',
  'tooLarge.title': 'Fue demasiado de una vez',
  'tooLarge.text':
    'Lo que se envió es más grande de lo que cabe aquí; no se leyó ni se cambió nada. Envíen menos de una vez.',
  'unreadable.title': 'Esto no se pudo leer',
  'unreadable.text':
    'Lo que se envió está dañado o no tiene la forma que esta página conoce; no se cambió nada. Vuelvan atrás, abran la página de nuevo y prueben otra vez.',
  'method.title': 'No se cambió nada',
  'method.text': 'Esta página no acepta lo que se le envió.',
  'foreign.title': 'No se cambió nada',
  'foreign.text':
    'Este envío no vino de una página de esta escuela; no se cambió nada. Abran la página de nuevo y prueben otra vez.',
  'failed.title': 'Algo salió mal aquí',
  'failed.text':
    'Lo que ya estaba guardado está a salvo. Vuelvan atrás y prueben otra vez; si pasa de nuevo, avisen a la escuela.',
  again: 'Probar otra vez',
};
