import { askForPage } from '@/app/door';
import { allSpecies } from '@/core/species/registry';
import { BookScreen } from '@/ui/book/BookScreen';

export default async function BookPage() {
  const rail = await askForPage('railView', {});
  const species = allSpecies().map(({ id, name, atlas, schools, types, flags }) => ({
    id,
    name,
    addOns: atlas.addOns.map((addOn) => ({ id: addOn.atom.id, label: addOn.label })),
    schools: schools.map((school) => ({ id: school.id, label: school.name })),
    types: types.map(({ id: type, label }) => ({ id: type, label })),
    flags: flags.map(({ id: flag, label }) => ({ id: flag, label })),
  }));
  return <BookScreen tickets={rail.tickets} unit={rail.shop.unit} species={species} />;
}
