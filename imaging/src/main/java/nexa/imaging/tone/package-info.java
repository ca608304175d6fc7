/**
 * What is done to photos' light and colour, for file and screen alike. Pictures may use it, which know whose pixels they have. Start
 * at {@link nexa.imaging.tone.ToneStages}.
 */
package nexa.imaging.tone;
