/**
 * Photos' files: what they hold, kind by kind, read within bounds, for no file is to be trusted. Pixels come as they are
 * stored. The rest of imaging may use it, and others its values. Start at {@link nexa.imaging.decode.PhotoKind}; each kind has a
 * {@code PhotoDecoder}.
 */
package nexa.imaging.decode;
