/** People who sign in at the desk, and what keeps strangers out. */
package gastfreund.app.hosts;
