/**
 * Formats: what is to be delivered, in which ratio, which way it turns and at what size. Start at
 * {@link nexa.core.format.Format}.
 */
package nexa.core.format;
