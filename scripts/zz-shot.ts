import { writeFileSync } from 'node:fs';
import { Person } from '../tests/browser/browser';
const [out, name, who, zone, w, h] = process.argv.slice(2);
async function main(){ const p = await Person.arrive('http://127.0.0.1:3000', {width:Number(w??1280),height:Number(h??800)});
await p.open('/sign-in'); await p.signIn('Tove');
await p.open(name!); if(who && who!=='-'){ writeFileSync('/tmp/s0.png', await p.picture()); await p.click(who,'a'); await p.sees('take-home'); } if(zone && zone!=='-') await p.openZone(zone);
await new Promise(r=>setTimeout(r,1500));
writeFileSync(out!, await p.picture()); await p.leave(); }
void main();
