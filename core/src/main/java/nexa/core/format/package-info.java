/**
 * Formats: what is to be delivered, in which ratio, which way it turns and at what size. Shoots, series and everything
 * outside of core may use it. Start at {@link nexa.core.format.Format}.
 */
package nexa.core.format;
