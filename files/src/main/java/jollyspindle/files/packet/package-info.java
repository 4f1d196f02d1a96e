/** The packet: the pages that are taken to the machine, as PDF at true size. */
package jollyspindle.files.packet;
