import Module from "manifold-3d";
import { expect, it } from "vitest";
import { CONSTRUCTIONS } from "/work/main/src/core/design/constructions.fixtures";
import { designSchema } from "/work/main/src/core/design/schema";
import { assemble } from "/work/main/src/core/assembly/assemble";
import { checkDesign } from "/work/main/src/core/review/checkDesign";
import { meshAgreement } from "/work/main/src/core/weigh/agreement";
import { integrate, DEFAULT_FINENESS } from "/work/main/src/core/weigh/integrate";
import { weigh } from "/work/main/src/core/weigh/weigh";
it("x", async () => {
  const kernel = await Module(); kernel.setup();
  for (const [name, d] of Object.entries(CONSTRUCTIONS)) {
    if (process.env.ONLY && !name.includes(process.env.ONLY)) continue;
    const parsed = designSchema.safeParse(d);
    if (!parsed.success) { console.log(name, "SCHEMA", JSON.stringify(parsed.error.issues.slice(0,2))); continue; }
    const f = checkDesign(d); if (f.length) console.log(name, JSON.stringify(f));
    const a = assemble(d);
    const t0 = performance.now(); const m = integrate(a); const t1 = performance.now();
    const fine = integrate(a, {...DEFAULT_FINENESS, split: 6});
    let worst = 0, who=""; m.forEach((k,i)=>{ if (fine[i].v>50) { const e=Math.abs(k.v/fine[i].v-1); if(e>worst){worst=e;who=a.parts[i].id;} } });
    const w = weigh(d);
    const bad = meshAgreement(kernel, a).filter(p => p.volumeMm3>200 ? Math.abs(p.meshVolumeMm3/p.volumeMm3-1)>0.0008 || Math.abs(p.xMm-p.meshXMm)>0.03 : Math.abs(p.meshVolumeMm3-p.volumeMm3)>1).map(p=>`${p.id} ${p.volumeMm3.toFixed(2)} ${p.meshVolumeMm3.toFixed(2)} x ${p.xMm.toFixed(3)} ${p.meshXMm.toFixed(3)}`);
    console.log(name, w.ok? w.report.massG.toFixed(2)+" g "+w.report.balanceMm.toFixed(2):"REFUSED", (t1-t0).toFixed(1)+"ms", "fine", worst.toExponential(1), who, bad.length?"\n   BAD "+bad.join("\n       "):"");
  }
}, 600000);
