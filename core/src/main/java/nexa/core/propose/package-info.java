/**
 * Crops proposed for a photo, scored by what is seen in it. Knows no pixels. What looks at pictures makes the {@link
 * nexa.core.propose.Scene}, what shows proposals asks the {@link nexa.core.propose.CropProposer}; start there.
 */
package nexa.core.propose;
