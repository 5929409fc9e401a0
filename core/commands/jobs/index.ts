export { answerHelper, endJob, giveJob } from './give-job'
export { takeHelperLetters } from './take-helper-letters'
