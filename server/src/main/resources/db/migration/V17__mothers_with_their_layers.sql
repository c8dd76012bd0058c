-- What a look through a file found now says which mothers it would make: files that wait are looked through again.
update import_file set outcome = null;
