import { worldOf, factsOf, TODAY, placeFor } from './world.ts';
import { compileCourse } from '@gonimos/core/course';
import { programme } from '@gonimos/core/programmes';
import { taxon } from '@gonimos/core/taxa';
const [,, w, t, p, key] = process.argv; const world=worldOf(w);
const c=compileCourse(factsOf(taxon(t),programme(p)), placeFor(world,taxon(t))!, TODAY);
for (const s of c.steps) { if (key && !new RegExp(key).test(s.key)) continue; console.log(s.key.padEnd(28), s.status, s.opens, s.closes, s.target, s.container??'', s.rootCut?`cut ${s.rootCut.take}/${s.rootCut.wanted}`:'', s.odds??'', s.span?JSON.stringify(s.span):'', key?s.reasons.map(r=>`\n     ${r.binding?'*':' '} ${r.rule}: ${r.text}`).join(''):''); }
console.log(c.rings.map(r=>`${r.season}:${r.caliper.toFixed(0)}(${r.slow.toFixed(0)}-${r.fast.toFixed(0)})`).join(' '), c.rootBoundOn);
