/**
 * Delivery: which files leave Nexa, under which names, and their writing. Start at
 * {@link nexa.imaging.deliver.DeliveryPlan}.
 */
package nexa.imaging.deliver;
