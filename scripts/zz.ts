import { forecast } from '@/core/forecast/forecast';
import { houseSheet } from '@/core/sheet/houseSheet';
import { speciesById } from '@/core/species/registry';
import { weight } from '@/core/quantity/weight';
const species=speciesById(process.argv[2]!);
const s={species,unit:'lb' as const,sides:1 as const,addOns:[],tools:['band-saw']};
const sheet=houseSheet(s); const cold=[weight(species.atlas.reference.sideLb)];
const t=performance.now(); let n=0; while(performance.now()-t<4000){forecast(s,sheet,cold);n++}
console.log(species.id,(4000/n).toFixed(3),'ms');
