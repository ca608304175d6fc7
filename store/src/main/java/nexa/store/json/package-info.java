/** How values are written as JSON, field by field, and read from it strictly. */
package nexa.store.json;
