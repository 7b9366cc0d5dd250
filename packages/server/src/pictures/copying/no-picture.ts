/** The bytes are no picture that is shown. */
export class NoPicture extends Error {}
