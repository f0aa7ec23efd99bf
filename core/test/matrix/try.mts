import { IN_MATRIX, worldOf, casesOf } from './world.ts';
const t0=performance.now(); let n=0; const ids = process.argv[2]? process.argv[2].split(','):IN_MATRIX;
for (const id of ids) {
  const w = worldOf(id); const t=performance.now(); let steps=0, none=0, cases=0; const by=new Map<string,number>(); const ex=new Map<string,string>();
  const kinds=new Set();
  for (const c of casesOf(w)) { cases++; kinds.add(c.taxon.id); for (const s of c.course.steps) { steps++; if (s.status==='none') { none++; const k=`${s.refusal} ${s.operation}`; by.set(k,(by.get(k)??0)+1); if(!ex.has(k)) ex.set(k,`${c.taxon.id} ${c.programme.id} ${s.key}: ${s.reasons.find(r=>r.binding)?.text}`);} } }
  n+=cases;
  console.log(id, 'kinds',kinds.size,'cases',cases,'steps',steps,'none',none,(100*none/steps).toFixed(2)+'%',((performance.now()-t)/1000).toFixed(1)+'s');
  for (const [k,v] of [...by].sort((a,b)=>b[1]-a[1]).slice(0,14)) console.log('   ',v,k,'|',ex.get(k));
}
console.log(n,((performance.now()-t0)/1000).toFixed(1));
