/**
 * Delivery: which files leave Nexa, under which names, and their writing. The command line and the desktop may use it. Start at
 * {@link nexa.imaging.deliver.DeliveryPlan}.
 */
package nexa.imaging.deliver;
