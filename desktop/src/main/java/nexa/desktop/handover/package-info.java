/**
 * The delivery note, what is to be known before it goes, and the delivery. Only the shell may use it. Start at {@link
 * nexa.desktop.handover.HandOverView}.
 */
package nexa.desktop.handover;
