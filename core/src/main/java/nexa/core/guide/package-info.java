/**
 * Composition guides: lines laid over a crop. What draws them may use it. Start at {@link nexa.core.guide.GuideKind}.
 */
package nexa.core.guide;
