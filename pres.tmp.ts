import { SHELF } from './core/games/shelf';
import { settle } from './core/games/kit/game';
import { assume } from './core/games/kit/types';
import { FULL } from './core/chance/simulate';
for(const g of SHELF)for(const p of g.presets){const t=Date.now();const r=settle(g,p.params).reckon(assume(p.ageBand),{...FULL,plays:1000,deep:false});const d=Date.now()-t;for(const n of r.notices.filter(n=>/^too-/.test(n.code)))console.log(g.id,p.id,p.ageBand,n.code,n.text.slice(0,60),'=>',n.mend?.label,d,'ms');}
