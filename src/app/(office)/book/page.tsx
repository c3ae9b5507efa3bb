import { askForPage } from '@/app/door';
import { allSpecies } from '@/core/species/registry';
import { BookScreen } from '@/ui/book/BookScreen';

export default async function BookPage() {
  const rail = await askForPage('railView', {});
  const species = allSpecies().map(({ id, name, atlas }) => ({
    id,
    name,
    addOns: atlas.addOns.map((addOn) => ({ id: addOn.atom.id, label: addOn.label })),
  }));
  return <BookScreen tickets={rail.tickets} unit={rail.shop.unit} species={species} />;
}
