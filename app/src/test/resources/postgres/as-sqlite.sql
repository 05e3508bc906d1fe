-- What SQLite has beside the standard and the stores ask for, said to PostgreSQL.
CREATE EXTENSION IF NOT EXISTS citext;
CREATE COLLATION nocase (provider = icu, locale = 'und-u-ks-level2', deterministic = false);

CREATE FUNCTION max(bigint, bigint) RETURNS bigint LANGUAGE sql IMMUTABLE AS 'SELECT greatest($1, $2)';
CREATE FUNCTION min(bigint, bigint) RETURNS bigint LANGUAGE sql IMMUTABLE AS 'SELECT least($1, $2)';
CREATE FUNCTION iif(boolean, anycompatible, anycompatible) RETURNS anycompatible LANGUAGE sql IMMUTABLE
    AS 'SELECT CASE WHEN $1 THEN $2 ELSE $3 END';
CREATE AGGREGATE group_concat(text, text) (sfunc = string_agg_transfn, stype = internal, finalfunc = string_agg_finalfn);
CREATE FUNCTION json_each(text) RETURNS TABLE (key text, value bigint) LANGUAGE sql IMMUTABLE
    AS 'SELECT key, value::bigint FROM json_each_text($1::json)';
