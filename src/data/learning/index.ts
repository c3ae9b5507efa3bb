export { experiencesOf, forgetExperiences, type Experiences } from './experiences';
export {
  choicesOfLearning,
  learntRows,
  LESSONS_VERSION,
  writeLearningChoice,
  writeLessons,
  type LearningChoice,
} from './lessons';
