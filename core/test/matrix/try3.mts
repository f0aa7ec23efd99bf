import { IN_MATRIX, worldOf, casesOf } from './world.ts';
import { coldestMonth } from '@gonimos/core/season';
const H=new Map<string,Map<number,number>>(); const ex=new Map<string,string>();
const OPS=new Set('root-correct root-work training-pot chop half-chop layer-ring layer-sever stick stick-softwood stick-hardwood stick-root hardwood-in-water wire lift collect plant-out moss-off shoot-choice stub-off bring-in take-out'.split(' '));
for (const id of IN_MATRIX) { const w=worldOf(id); const m=coldestMonth(w.outdoors.climate); const zone=m>=8?'mild':m>=0?'temperate':'cold';
  const lf=w.outdoors.season(2028)['leaf-fall-done']; if(lf.kind==='days') console.log(id, zone, m.toFixed(1),'leaf fall', new Date(lf.p10*864e5).toISOString().slice(5,10), new Date(lf.p50*864e5).toISOString().slice(0,10), new Date(lf.p90*864e5).toISOString().slice(5,10), 'swell', (()=>{const s=w.outdoors.season(2028)['bud-swell']; return s.kind==='days'?new Date(s.p50*864e5).toISOString().slice(5,10):s.why})());
  for (const c of casesOf(w)) { const cat=c.taxon.phenology==='warm-season'?'warm':c.taxon.group==='pine'||c.taxon.group==='juniper-cypress'?'conifer':['evergreen-broadleaf','sensitive-shrub'].includes(c.taxon.group)?'evergreen':'deciduous';
    for (const s of c.course.steps) { if(s.status!=='planned'||!OPS.has(s.operation)) continue; let mo=Number(s.target!.slice(5,7)); if(w.south) mo=(mo+5)%12+1; const k=`${s.operation} ${cat} ${cat==='warm'?'':zone}`; const a=H.get(k)??new Map(); a.set(mo,(a.get(mo)??0)+1); H.set(k,a); ex.set(k+' '+mo,`${id} ${c.taxon.id} ${c.programme.id} ${s.key} ${s.target}`);} } }
for (const [k,a] of [...H].sort()) console.log(k.padEnd(40), [...a].sort((x,y)=>x[0]-y[0]).map(([m,n])=>`${m}:${n}`).join(' '));
if(process.argv[2]) for (const [k,v] of ex) if(new RegExp(process.argv[2]).test(k)) console.log(k,v);
