/** Composition guides: lines laid over a crop. Start at {@link nexa.core.guide.GuideKind}. */
package nexa.core.guide;
