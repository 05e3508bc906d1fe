/** The outbox: messages written in the transaction that caused them, and sent after it. */
package gastfreund.app.messages;
