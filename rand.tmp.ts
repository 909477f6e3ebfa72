import { SHELF } from './core/games/shelf';
import { anySettings } from './core/games/kit/laws/tried.testing';
import { check } from './core/games/kit/check';
import { assume } from './core/games/kit/types';
const only=process.argv[2]; const N=Number(process.argv[3]??150);
for(const game of SHELF){ if(only&&!only.split(',').includes(game.id))continue; const seen=new Map<string,string>();const t0=Date.now();
 const all=anySettings(game,N,Number(process.env.SEED??19));
 for(const v of all){const q=v.reckon(assume('g1'));
  for(const n of q.notices)if(n.mend){const f=check(game,n.mend.params);
   if(!f.ok){seen.set('refused '+n.code,JSON.stringify(v.params));continue;}const after=f.value.reckon(assume('g1')).notices.map(x=>x.code);if(after.includes(n.code)){const k=`mend ${n.code} (${n.severity}) does not mend`;if(!seen.has(k))seen.set(k,JSON.stringify(v.params)+' -> '+n.mend.label);}}
 }
 if(seen.size||Date.now()-t0>4000||all.length<N)console.log('##',game.id,all.length,Date.now()-t0,'ms');for(const [k,v] of seen)console.log('  ',k,'\n       ',v.slice(0,400));
}
