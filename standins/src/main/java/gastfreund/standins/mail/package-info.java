/** A mail server that takes everything in and shows it. */
package gastfreund.standins.mail;
