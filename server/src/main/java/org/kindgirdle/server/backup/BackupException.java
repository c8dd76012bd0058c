package org.kindgirdle.server.backup;

/** What is wrong with a backup, and what to do about it, in two sentences for the console. */
public final class BackupException extends RuntimeException {

    private final String whatToDo;

    BackupException(String what, String whatToDo) {
        super(what);
        this.whatToDo = whatToDo;
    }

    public String whatToDo() {
        return whatToDo;
    }
}
