# The nursery runs an application of its own, in its data folder: what is built anew here does not touch it until
# somebody says so, and the one before stays until the new one has proved itself.

# What an application is, as one number.
application_stamp() { cat "$1/stamp" 2>/dev/null || cksum <"$1/kind-girdle.jar" 2>/dev/null | cut -d' ' -f1; }

application_version() { unzip_manifest "$1/kind-girdle.jar" | sed -nE 's/^Implementation-Version: *([^[:space:]]+).*/\1/p' | head -n 1; }

unzip_manifest() { (cd "$(mktemp -d)" && jar xf "$1" META-INF/MANIFEST.MF 2>/dev/null && cat META-INF/MANIFEST.MF); }

# copy_application FROM TO: whole or not at all, sharing the disk where that can be done. One that was built elsewhere
# (KG_APP) is somebody's to keep: it is only pointed to.
copy_application() {
    rm -rf "$2.part"
    mkdir -p "$(dirname "$2")"
    if [ -n "${KG_APP:-}" ]; then
        ln -s "$(readlink -f "$1")" "$2.part"
        mv -T "$2.part" "$2"
        return
    fi
    cp -al "$1" "$2.part" 2>/dev/null || { rm -rf "$2.part"; cp -a "$1" "$2.part"; } ||
        fail "The application could not be copied to $2." "Is there room on the disk?"
    # classes kept for another folder are of no use here
    rm -f "$2.part/classes.jsa"
    mv "$2.part" "$2"
}

# The first application of a nursery.
install_application() {
    if [ ! -f "$DATA/app/current/kind-girdle.jar" ]; then copy_application "$BUILT" "$DATA/app/current"; fi
    APP=$(readlink -f "$DATA/app/current")
}

# Is what the nursery runs what lies in this folder?
is_newest() {
    local here
    if [ -n "${KG_APP:-}" ]; then here=$(application_stamp "$KG_APP"); else here=$(sources_stamp); fi
    [ "$(application_stamp "$DATA/app/current")" = "$here" ]
}

say_newer() {
    is_newest || say "Another version lies in this folder: ./kg update takes it, with a backup first."
}

# update_nursery [and-start]: backup, new application, migration, check; and the way back when any of that fails
update_nursery() {
    choose_data nursery
    read_options
    has_jdk17 || install_debian "a Java 17 development kit" openjdk-17-jdk-headless
    ensure_database_server
    if [ -f "$DATA/app/current/kind-girdle.jar" ] && is_newest; then
        say "This nursery has this version already ($(application_version "$DATA/app/current"))."
        return
    fi
    build_application
    BUILT=$APP
    if [ ! -d "$DATA/db" ] && ! database_is_foreign; then
        rm -rf "$DATA/app/current"
        install_application
        say "There is no nursery in $DATA yet: ./kg start begins one with this version."
        return
    fi
    local was_up=no backup folder=${KG_BACKUPS:-$DATA/backups}
    [ "${1:-}" != and-start ] || was_up=yes
    if supervised || alive "$RUN/application.pid" "-Dkg.data=$DATA"; then was_up=yes; fi
    [ -f "$RUN/application.port" ] && KG_PORT=${KG_PORT:-$(cat "$RUN/application.port")}
    export KG_PORT
    step "ending what runs"
    stop_supervisor
    stop_application
    backup=$folder/before-update-$(date +%Y%m%d-%H%M%S).tar.gz
    mkdir -p "$folder"
    step "backing up, and reading the backup again"
    start_database
    # by the version that has been at work so far, if there is one
    [ ! -f "$DATA/app/current/kind-girdle.jar" ] || APP=$(readlink -f "$DATA/app/current")
    (export_database && on_database backup "$backup") || {
        [ "$was_up" = no ] || back_up_again
        fail "The nursery could not be backed up, so nothing was changed." "See above."
    }
    rm -rf "$DATA/app/previous"
    [ ! -d "$DATA/app/current" ] || mv "$DATA/app/current" "$DATA/app/previous"
    copy_application "$BUILT" "$DATA/app/current"
    APP=$(readlink -f "$DATA/app/current")
    step "starting the new version (it migrates the database)"
    if (start_anew && step "checking that everything is there" && export_database && on_database check "$backup"); then
        [ "$was_up" = yes ] || (stop_nursery >/dev/null)
        say "Updated to $(application_version "$APP"). The backup from before: $backup"
        [ "$was_up" = no ] || say "Kind Girdle runs at $(cat "$RUN/application.url")"
        return
    fi
    say "The new version did not come up. Going back to the one before."
    way_back "$backup" "$was_up"
    exit 1
}

# On the application that stands in current.
start_anew() {
    choose_port 8080 start
    TRIES_BEFORE=0
    : >"$LOGS/application.log"
    : >"$LOGS/supervisor.log"
    local options=()
    read -ra options <"$RUN/options" 2>/dev/null || true
    read_options "${options[@]}"
    begin_watch "${options[@]}"
    (wait_until_up) || { stop_supervisor; return 1; }
}

back_up_again() { start_anew || say "It did not come up again: ./kg start, and see $LOGS/application.log"; }

# way_back BACKUP WAS_UP: the application and the database as they were
way_back() {
    stop_supervisor
    stop_application
    cp "$LOGS/application.log" "$LOGS/failed-update.log" 2>/dev/null || true
    if database_is_foreign; then
        say "The database at KG_DB_URL is not kg's: bring $1 back into an empty one with ./kg restore."
    else
        start_database
        local old new=kindgirdle_$(date +%Y%m%d%H%M%S)
        old=$(database_name)
        make_database "$new"
        # by the version that wrote the backup: the one that failed need not be able to do anything
        [ -d "$DATA/app/previous" ] && APP=$(readlink -f "$DATA/app/previous")
        if (DB_NAME=$new && export_database && on_database restore-as-it-was "$1"); then
            printf '%s' "$new" >"$SECRETS/db-name"
            as_database_root -e "drop database \`$old\`"
        else
            say "The database could not be brought back by itself. It is whole in $1: ./kg restore $1"
        fi
    fi
    if [ -d "$DATA/app/previous" ]; then
        rm -rf "$DATA/app/failed"
        mv "$DATA/app/current" "$DATA/app/failed"
        mv "$DATA/app/previous" "$DATA/app/current"
        APP=$(readlink -f "$DATA/app/current")
        if [ "$2" = yes ] && start_anew; then
            say "The version before runs again at $(cat "$RUN/application.url"), with everything that it had. What went wrong: $LOGS/failed-update.log"
        else
            say "The version before is back. What went wrong: $LOGS/failed-update.log"
        fi
    else
        rm -rf "$DATA/app/current"
        say "There is no application of before here: take the folder of the older version, and ./kg start there. What went wrong: $LOGS/failed-update.log"
    fi
}
