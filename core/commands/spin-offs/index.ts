export { dropSpinOff, makeSpinOff } from './make-spin-off'
export { writeSpinOff, type SpinFields } from './write-spin-off'
