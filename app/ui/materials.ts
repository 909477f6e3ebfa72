/** What the school wrote of its materials, as the frame of every page brings it; pages that name parts make a catalogue of it. */
import { createContext } from 'react';
import type { SchoolMaterial } from '~/core/materials/school';

export const MaterialsContext = createContext<readonly SchoolMaterial[]>([]);
