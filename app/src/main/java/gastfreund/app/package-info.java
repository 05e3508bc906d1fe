/** The application: a house's whole shop in one process over one SQLite file. */
package gastfreund.app;
