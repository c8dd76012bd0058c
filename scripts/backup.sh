# One file with everything: the database as SQL, and the photos.

make_backup() {
    local file=$1
    [ -n "$file" ] || fail "Say where to." "./kg backup tollen-2026-11.tar.gz"
    choose_data "${KG_KIND:-nursery}"
    database_is_foreign && fail "The database at KG_DB_URL is not kg's." "Use that server's own backup, and keep $DATA/photos."
    [ -d "$DATA/db" ] || fail "There is no nursery in $DATA yet." "Run ./kg start first."
    ensure_database_server
    local was_up=yes work
    alive "$RUN/db.pid" "--datadir=$DATA/db" || was_up=no
    start_database
    work=$(mktemp -d "$DATA/backup.XXXXXX")
    # one consistent picture, while people go on recording; sessions, failed tries and files on their way in do not belong in it
    mariadb-dump --no-defaults --socket="$SOCKET" --user="$(database_user)" --single-transaction --routines --triggers --hex-blob \
        --ignore-table-data=kindgirdle.SPRING_SESSION --ignore-table-data=kindgirdle.SPRING_SESSION_ATTRIBUTES \
        --ignore-table-data=kindgirdle.sign_in_failure --ignore-table-data=kindgirdle.import_file kindgirdle >"$work/kindgirdle.sql" ||
        { rm -rf "$work"; fail "The database could not be read." "See $LOGS/db.log"; }
    printf 'kind-girdle-backup 1\n' >"$work/FORMAT"
    [ -d "$DATA/photos" ] && cp -a "$DATA/photos" "$work/photos"
    (umask 077 && tar -C "$work" -czf "$file.part" . && mv "$file.part" "$file") ||
        { rm -rf "$work" "$file.part"; fail "$file could not be written." "Is there room, and may you write there?"; }
    rm -rf "$work"
    [ "$was_up" = yes ] || stop_database
    say "Written: $file ($(du -h "$file" | cut -f1))"
}

restore_backup() {
    local file=$1
    [ -n "$file" ] && [ -f "$file" ] || fail "There is no file '$file'." "./kg restore FILE, with a file that ./kg backup wrote"
    choose_data "${KG_KIND:-nursery}"
    database_is_foreign && fail "The database at KG_DB_URL is not kg's." "Use that server's own tools."
    tar -xzOf "$file" ./FORMAT 2>/dev/null | grep -q '^kind-girdle-backup 1$' ||
        fail "$file is no backup of Kind Girdle." "Nothing was changed. Give a file that ./kg backup wrote."
    alive "$RUN/application.pid" "-Dkg.data=$DATA" && fail "It is running." "./kg stop first, then restore."
    ensure_database_server
    local work
    work=$(mktemp -d "$DATA/restore.XXXXXX")
    tar -C "$work" -xzf "$file"
    local had_data=no
    if [ -d "$DATA/db" ]; then
        had_data=yes
        local kept=$DATA/before-restore-$(date +%Y%m%d-%H%M%S).tar.gz
        make_backup "$kept"
    fi
    start_database
    as_database_root <<'SQL'
drop database if exists kindgirdle_new;
create database kindgirdle_new character set utf8mb4 collate utf8mb4_unicode_520_ci;
SQL
    # first beside what is there: a broken file must not cost the nursery its data
    if ! as_database_root kindgirdle_new <"$work/kindgirdle.sql"; then
        as_database_root -e 'drop database kindgirdle_new'
        rm -rf "$work"
        stop_database
        fail "The backup is damaged." "Nothing was changed."
    fi
    as_database_root -e 'drop database kindgirdle_new; drop database kindgirdle; create database kindgirdle character set utf8mb4 collate utf8mb4_unicode_520_ci'
    as_database_root kindgirdle <"$work/kindgirdle.sql"
    if [ -d "$work/photos" ]; then rm -rf "$DATA/photos" && mv "$work/photos" "$DATA/photos"; fi
    rm -rf "$work"
    stop_database
    say "Restored from $file."
    [ "$had_data" = yes ] && say "What was there before: $kept"
    return 0
}
