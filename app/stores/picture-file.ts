/** Reading a picture, for screens too. */
export { imageOf } from '@app/data/picture-file'
