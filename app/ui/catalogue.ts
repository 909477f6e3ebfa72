/** The school's catalogue of materials, for whatever names a part on a screen. */
import { createContext, useContext } from 'react';
import { SHIPPED, type Catalogue } from '~/core/materials/school';

export const CatalogueContext = createContext<Catalogue>(SHIPPED);
export const useCatalogue = (): Catalogue => useContext(CatalogueContext);
