-- What the log's words are sought in: every three letters that follow one another, small and without marks. It holds no words itself, those are log_entry's.
create virtual table log_words using fts5 (words, content = 'log_entry', tokenize = 'trigram remove_diacritics 1');
insert into log_words (log_words) values ('rebuild');

create trigger log_words_added after insert on log_entry begin
  insert into log_words (rowid, words) values (new.rowid, new.words);
end;
create trigger log_words_gone after delete on log_entry begin
  insert into log_words (log_words, rowid, words) values ('delete', old.rowid, old.words);
end;
create trigger log_words_changed after update of words on log_entry when old.words <> new.words begin
  insert into log_words (log_words, rowid, words) values ('delete', old.rowid, old.words);
  insert into log_words (rowid, words) values (new.rowid, new.words);
end;
