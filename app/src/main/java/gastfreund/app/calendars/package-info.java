/** Calendar files. */
package gastfreund.app.calendars;
