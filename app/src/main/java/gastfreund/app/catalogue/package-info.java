/** What the house sells: offers, staff, resources and places, kept as the house file's JSON and read as core values. */
package gastfreund.app.catalogue;
