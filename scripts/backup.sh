# One file with everything: the database as SQL, and the photos. The application itself writes it, looks it through and
# takes it in; the database's own client, which would run commands that stand in a file, is never given one.

# on_database COMMAND FILE: runs one of the application's backup commands, with the nursery's settings
on_database() {
    PORT=0
    (run_java "$([ "$KIND" = demo ] && echo true || echo false)" "$@" 2>>"$LOGS/application.log")
}

# The file's whole path: the commands run elsewhere.
whole_path() { case "$1" in /*) printf '%s' "$1" ;; *) printf '%s/%s' "$CALLED_FROM" "$1" ;; esac; }

make_backup() {
    local file=$1
    [ -n "$file" ] || fail "Say where to." "./kg backup tollen-2026-11.tar.gz"
    file=$(whole_path "$file")
    choose_data "${KG_KIND:-nursery}"
    database_is_foreign || [ -d "$DATA/db" ] || fail "There is no nursery in $DATA yet." "Run ./kg start first."
    prepare
    local was_up=yes done=yes
    alive "$RUN/db.pid" "--datadir=$DATA/db" || was_up=no
    start_database
    export_database
    on_database backup "$file" || done=no
    [ "$was_up" = yes ] || stop_database
    [ "$done" = yes ] || exit 1
}

verify_backup() {
    local file=$1
    [ -n "$file" ] && file=$(whole_path "$file")
    [ -f "$file" ] || fail "There is no file '$file'." "./kg verify FILE, with a file that ./kg backup wrote"
    choose_data "${KG_KIND:-nursery}"
    prepare
    KG_DB_URL_USED='' on_database verify "$file" || exit 1
}

restore_backup() {
    local file=$1
    [ -n "$file" ] && file=$(whole_path "$file")
    [ -f "$file" ] || fail "There is no file '$file'." "./kg restore FILE, with a file that ./kg backup wrote"
    choose_data "${KG_KIND:-nursery}"
    if supervised || alive "$RUN/application.pid" "-Dkg.data=$DATA"; then
        fail "It is running." "./kg stop first, then restore."
    fi
    prepare
    install_application
    KG_DB_URL_USED='' on_database verify "$file" || exit 1
    if database_is_foreign; then
        export_database
        on_database restore "$file" || exit 1
        return
    fi
    local kept=''
    if [ -d "$DATA/db" ]; then
        kept=$DATA/before-restore-$(date +%Y%m%d-%H%M%S).tar.gz
        (make_backup "$kept") || fail "What is there now could not be backed up, so nothing was changed." \
            "See above. To restore all the same, give another data folder with KG_DATA."
    fi
    start_database
    # beside what is there: the old database is thrown away only when the new one stands
    local old new=kindgirdle_$(date +%Y%m%d%H%M%S)
    old=$(database_name)
    make_database "$new"
    printf '%s' "$new" >"$SECRETS/db-name.new"
    if ! (DB_NAME=$new export_database && on_database restore "$file"); then
        as_database_root -e "drop database \`$new\`"
        rm -f "$SECRETS/db-name.new"
        stop_database
        exit 1
    fi
    mv "$SECRETS/db-name.new" "$SECRETS/db-name"
    as_database_root -e "drop database if exists \`$old\`"
    stop_database
    [ -z "$kept" ] || say "What was there before: $kept"
}
