import { writeForecastCsv } from '@/core/formats/forecastCsv';
import { forecastDocument } from '@/core/order/forecastDocument';
import { readExperience } from '@/core/order/season';
import { EXIT, openOrder, printJson, readJson, refuse, type Command } from '../console';

export const forecast: Command = {
  usage: 'forecast FILE.json           what each share of an order file becomes (--csv, --experience FILE)',
  words: [1, 1],
  run: async (asked, at) => {
    const own = asked.experience === undefined ? undefined : await readJson(asked.experience, at.stdin);
    if (own && !own.ok) return refuse(asked.experience!, own, at);
    const experience = own && readExperience(own.value);
    if (experience && !experience.ok) return refuse(asked.experience!, experience, at);
    const read = await openOrder(asked.words[0]!, asked, at);
    if (!read) return EXIT.unreadable;
    const document = forecastDocument(read.shop, read.order, experience?.value);
    if (asked.csv) at.out(writeForecastCsv(document));
    else printJson(document, at);
    return EXIT.done;
  },
};
