/** What belongs to the person and not to a job: recent jobs, the look. Kept in the user's data folder. */
package jollyspindle.files.user;
