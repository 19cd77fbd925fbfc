<?php

declare(strict_types=1);

namespace App\Database;

/** What SQLite and PostgreSQL say in different words. What is given is SQL, never anything that somebody typed. */
interface Dialect
{
    /** Of values none of which is null. */
    public function least(string ...$values): string;

    /** Of values none of which is null. */
    public function greatest(string ...$values): string;

    /**
     * A JSON object as a text.
     *
     * @param  array<string, string>  $members  texts or times by name
     */
    public function object(array $members): string;

    /** SHA-256 of a text in base64: 44 letters. */
    public function digest(string $text): string;

    /** An instant that is stored, as seconds since 1970. */
    public function seconds(string $instant): string;

    /** All of a group as one JSON object: a member for each row. */
    public function gathered(string $name, string $value): string;

    /** Whether a text has another in it, byte by byte. */
    public function contains(string $text, string $part): string;

    /** The elements of a list in JSON as rows of an alias, to select from: each a text in the column `value`. */
    public function elements(string $list, string $alias): string;

    /** The members of an object in JSON as rows of an alias, to select from: the name of each in the column `key`. */
    public function members(string $object, string $alias): string;

    /**
     * A member of an object in JSON, of the type of the column that it is for.
     *
     * @param  string  $table  whose column is called like the member
     */
    public function member(string $table, string $object, string $member): string;

    /**
     * A query of rows that were laid down as objects in JSON: each member as `object_member`, of the type of the column that it is for.
     *
     * @param  string  $table  in which they are to be rows
     * @param  list<string>  $members
     * @param  list<string>  $objects  columns of `$from`
     * @param  string  $from  table they are laid down in, with what comes after
     */
    public function laidDown(string $table, array $members, array $objects, string $from): string;

    /** A join whose tables are gone through in the order in which they are named, where the database can be told so. */
    public function inThisOrder(): string;

    /** Whether a text is like a pattern that is bound, whatever the case of letters is; in it `\` makes the next one stand for itself. */
    public function like(string $text): string;

    /** What rows are taken in that are found by {@see words()}, as a condition with one binding. */
    public function rowsFound(): string;

    /** @return array{begun: string, whole: string, or: string, and: string} how words are asked for there: `%s` is one */
    public function words(): array;

    /**
     * Keeps numbers for rows that are to be made later: nobody else will be given them. To be called inside a transaction.
     *
     * @return int the last of them
     */
    public function keepNumbers(string $table, int $count): int;

    /** @return list<array{string, string}> every column that names rows of a table, as table and column, in their order */
    public function naming(string $table): array;

    /** @return list<string> the tables of the school, in their order */
    public function tables(): array;

    /** What was deleted is to stand nowhere in the database's files any more, as far as that can be had while others work. Not to be called inside a transaction. */
    public function overwriteDeleted(): void;
}
