/**
 * Work in the background: for pictures, what photos say of themselves, and delivery. Knows nothing of any of them; anything may
 * use it. Start at {@link nexa.imaging.work.WorkQueue}.
 */
package nexa.imaging.work;
