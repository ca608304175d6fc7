/** Composition guides: lines laid over a crop. Start at {@link nexa.core.guide.Guide}. */
package nexa.core.guide;
