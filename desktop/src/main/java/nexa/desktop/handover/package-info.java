/** The delivery note and the delivery. Start at {@link nexa.desktop.handover.HandOverView}. */
package nexa.desktop.handover;

