/** The shoot document: read strictly, written with what is not known of it; a codec a value. */
package nexa.store.document;
