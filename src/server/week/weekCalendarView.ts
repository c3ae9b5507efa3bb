import Joi from 'joi';
import { defineUseCase, STAFF } from '../house/useCase';
import { calendarFile, type CalendarFile } from './calendar';
import { readWeek } from './weekView';

/** The plan that stands, for the shop's own people: what is cut on which day, as a file of an open calendar. */
export const weekCalendarView = defineUseCase<object, CalendarFile>({
  name: 'weekCalendarView',
  roles: STAFF,
  writes: false,
  input: Joi.object({}),
  run: async (house) => {
    const { animals, standing } = await readWeek(house);
    const days = animals.flatMap(({ animalId, tag, species, names }) => {
      const day = standing.planned.get(animalId);
      return day ? [{ uid: animalId, day, title: `Cut ${species} ${tag}`, words: names.join('; ') }] : [];
    });
    return calendarFile(house, { name: 'week', title: 'What is cut', days });
  },
});
