/**
 * How far a photo leans, from lines that should be level or upright. What traces or finds lines may use it. Start at
 * {@link nexa.core.level.TracedLevel}.
 */
package nexa.core.level;
