/** The school's catalogue of materials, for whatever names a part on a screen. */
import { useContext } from 'react';
import { catalogueOf, SHIPPED, type Catalogue, type SchoolMaterial } from '~/core/materials/school';
import { MaterialsContext } from './materials';

/** One catalogue for one list of materials. */
const made = new WeakMap<readonly SchoolMaterial[], Catalogue>();

export function useCatalogue(): Catalogue {
  const materials = useContext(MaterialsContext);
  if (materials.length === 0) return SHIPPED;
  const catalogue = made.get(materials) ?? catalogueOf(materials);
  made.set(materials, catalogue);
  return catalogue;
}
