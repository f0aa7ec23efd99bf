import { IN_MATRIX, worldOf, casesOf } from './world.ts';
const ids = process.argv[2]? process.argv[2].split(','):IN_MATRIX;
const H=new Map<string,number[]>();
const ex=new Map<string,string>();
const lags=new Map<string,number[]>();
const day=(s:string)=>Date.parse(s)/864e5;
for (const id of ids) {
  const w = worldOf(id);
  for (const c of casesOf(w)) {
    const cat = c.taxon.phenology==='warm-season'?'warm':c.taxon.group==='pine'?'pine':'cold';
    const by=new Map(c.course.steps.map(s=>[s.key,s]));
    for (const s of c.course.steps) { if(s.status!=='planned') continue;
      let m=Number(s.target!.slice(5,7)); if (w.south) m=(m+5)%12+1;
      const k=`${cat} ${s.operation}`; const a=H.get(k)??Array(13).fill(0); a[m]++; H.set(k,a);
      if(!ex.has(k+m)) ex.set(k+m,`${id} ${c.taxon.id} ${c.programme.id} ${s.key} ${s.opens}..${s.closes} ${s.target}`);
      if (s.chain) { const parent=by.get(s.key.slice(0,s.key.lastIndexOf('.')))!; if(parent?.target){ const l=day(s.opens!)-day(parent.target); const kk=`${parent.operation}>${s.operation}`; (lags.get(kk)??lags.set(kk,[]).get(kk)!).push(l);} }
    }
    const pair=(a:string,b:string)=>{const x=by.get(a),y=by.get(b); if(x?.target&&y?.target){const kk=`${cat} ${a}->${b} ${c.programme.id}`; (lags.get(kk)??lags.set(kk,[]).get(kk)!).push(day(y.target)-day(x.target));}};
    pair('sow','correct'); pair('emergence','correct'); pair('correct','wire-1'); pair('collect','roots-2'); pair('out','in'); pair('plant-out','tile-look'); pair('ring','sever'); pair('chop','training');pair('cells','plug');pair('half','chop');
  }
}
for (const [k,a] of [...H].sort()) { const tot=a.reduce((x,y)=>x+y,0); console.log(k.padEnd(28), a.slice(1).map((x,i)=>x?`${i+1}:${x}`:'').filter(Boolean).join(' '), '|', tot); }
console.log('LAGS'); for (const [k,a] of [...lags].sort()) { a.sort((x,y)=>x-y); console.log(k.padEnd(60), a[0], a[Math.floor(a.length*.05)], a[a.length>>1], a[Math.floor(a.length*.95)], a[a.length-1], a.length); }
if (process.argv[3]) for (const [k,v] of ex) if (new RegExp(process.argv[3]).test(k)) console.log(k,v);
