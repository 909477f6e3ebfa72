/** Sounds of a desk: two notes up for right, one low one for wrong, one for what comes next. */
import type { Heard } from '~/core/lending/hall';

const NOTES: Record<Heard['kind'], readonly (readonly [hertz: number, from: number, seconds: number])[]> = {
  right: [
    [660, 0, 0.09],
    [990, 0.1, 0.14],
  ],
  wrong: [[165, 0, 0.45]],
  next: [[520, 0, 0.08]],
};

let context: AudioContext | undefined;

/** Plays the sound of a kind; silent where the browser has none, or not before somebody has pressed something. */
export function tone(kind: Heard['kind']): void {
  try {
    context ??= new AudioContext();
    const volume = context.createGain();
    volume.gain.value = 0.2;
    volume.connect(context.destination);
    for (const [hertz, from, seconds] of NOTES[kind]) {
      const note = context.createOscillator();
      note.type = kind === 'wrong' ? 'square' : 'sine';
      note.frequency.value = hertz;
      note.connect(volume);
      note.start(context.currentTime + from);
      note.stop(context.currentTime + from + seconds);
    }
  } catch {
    // A desk without sound still has its word.
  }
}
