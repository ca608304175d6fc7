/** How far a photo leans, from lines that should be level or upright. Start at {@link nexa.core.level.TracedLevel}. */
package nexa.core.level;
