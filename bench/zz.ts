process.env.STORE_DIR='/tmp/zstore';
import { loadProject } from '../src/server/services/projects';
import { raster } from '../src/server/services/pictures';
import { filePixelsOf } from '../src/core/pixels/file';
import { serverFonts } from '../src/server/fonts';
import { casesOf } from '../src/core/screens/cases';
import { distinctCases } from '../src/core/screens/likeness';
import { screensOf } from '../src/server/catalogue';
import { advise, findingsIn } from '../src/core/findings/advise';
import { applyPatch } from '../src/core/scene/patch';
import { DEFAULT_LIMITS } from '../src/core/measure/defaults';
import { sayFigure } from '../src/core/measure/words';
const {getDb,migrateDb}=await import('../src/server/db/client'); await migrateDb(getDb(),'/tmp/zstore'); const {seedDemo}=await import('../src/server/seed'); const t0=performance.now(); await seedDemo(); console.log('seed',performance.now()-t0);
let { documents } = loadProject('larkmoor-ferries');
documents = {...documents, project:{...documents.project, limits:[...DEFAULT_LIMITS]}};
const cases = distinctCases(casesOf(screensOf(documents.project), ['light','dark'])).map(c=>c.shown);
const pixels = new Map();
for (const p of documents.project.pictures) for (const c of p.cuts) for (const r of c.renditions) pixels.set(r.hash, filePixelsOf(await raster(r.hash)));
const outside = { fonts: serverFonts(), pixels };
let n=0;
for (const sceneId of Object.keys(documents.scenes)) {
  console.log('=====',sceneId);
  let docs = documents;
  const stuck = new Set<string>();
  for (let round=0; round<40; round++) {
    const asked = { documents: docs, sceneId, cases, outside, newId: () => 'n'+n++ };
    const fs = findingsIn(asked);
    if (round===0 || fs.every(f=>stuck.has(f.id))) for (const f of fs) console.log('  ',f.outcome,f.id,f.on.length,(f.weight*100).toFixed(1)+'%',sayFigure(f.measure,f.worst.breach.value),f.worst.caseId);
    const f = fs.find(f=>!stuck.has(f.id)); if(!f){console.log('left',fs.length);break;}
    const t=performance.now(); const adv = advise(asked, f); 
    console.log(' mend',f.id,f.on.length,'->',adv.slice(0,3).map(a=>a.label+' ('+a.clears+', '+a.gain.toFixed(2)+(a.costs.length?' costs '+a.costs.map(c=>c.finding.id+'+'+c.more).join(';'):'')+')').join(' | '), (performance.now()-t).toFixed(0)+'ms');
    if(!adv.length){stuck.add(f.id);continue;}
    docs = applyPatch(docs, adv[0]!.patch);
  }
}
