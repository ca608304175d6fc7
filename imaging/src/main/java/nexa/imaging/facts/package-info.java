/**
 * What photos say of themselves: when and how they were taken, their size, their subject. Everything above may use it. Start at
 * {@link nexa.imaging.facts.PhotoFacts}, and at {@link nexa.imaging.facts.ShootReading} for all photos of a shoot.
 */
package nexa.imaging.facts;
