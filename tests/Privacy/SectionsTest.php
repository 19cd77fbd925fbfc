<?php

declare(strict_types=1);

namespace Tests\Privacy;

use App\Database\Dialects;
use App\Database\Value;
use App\Privacy\Held\OnErasing;
use App\Privacy\Held\Section;
use App\Privacy\Held\Sections;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Facades\Schema;
use Tests\PgsqlSchools;
use Tests\TestCase;

/** What is kept of people is known table by table: a new one cannot be forgotten. */
final class SectionsTest extends TestCase
{
    public function test_every_table_is_named_once_for_what_stands_in_it_of_others(): void
    {
        $named = [...Sections::LET_GO, ...Sections::REWRITTEN, ...Sections::TOLD, ...Sections::WITHOUT_WORDS];
        $there = Dialects::spoken()->tables();
        sort($named);
        sort($there);
        self::assertSame($there, $named);
    }

    public function test_every_column_that_names_people_is_somebodys_or_for_what_they_did_as_staff(): void
    {
        $known = Sections::AS_STAFF;
        foreach (Sections::all() as $section) {
            foreach ($section->by as $column) {
                $known[] = "{$section->table}.{$column}";
            }
        }
        $naming = array_map(static fn (array $one): string => implode('.', $one), Dialects::spoken()->naming('people'));
        self::assertSame([], array_values(array_diff($naming, $known)));
    }

    /** A file of a thousand people could be taken back in a minute only, after half a million rows of acts: each was looked through for each of them. */
    public function test_whoever_a_column_names_is_found_by_an_index(): void
    {
        $scanned = [];
        foreach (Dialects::spoken()->naming('people') as [$table, $column]) {
            // PostgreSQL looks through what is nearly empty in any case: there it is asked whether there is one.
            $isFound = PgsqlSchools::areMeant()
                ? array_filter(Schema::getIndexes($table), static fn (array $index): bool => $index['columns'][0] === $column) !== []
                : ! str_contains(implode(' ', Value::texts(array_column(DB::select("explain query plan select 1 from people p where not exists (select 1 from {$table} other where other.{$column} = p.id)"), 'detail'))), 'SCAN other');
            if (! $isFound) {
                $scanned[] = "{$table}.{$column}";
            }
        }
        self::assertSame([], $scanned);
    }

    public function test_columns_that_look_like_a_person_are_named_too(): void
    {
        $known = [];
        foreach (Sections::all() as $section) {
            $known = [...$known, ...array_map(static fn (string $column): string => "{$section->table}.{$column}", [...$section->by, ...$section->addresses])];
        }
        $like = [];
        foreach (Dialects::spoken()->tables() as $table) {
            foreach (Schema::getColumnListing($table) as $column) {
                if (in_array($column, ['person_id', 'learner_id', 'observer_id', 'user_id', 'email', 'to'], true) && $table !== 'people') {
                    $like[] = "{$table}.{$column}";
                }
            }
        }
        self::assertSame([], array_values(array_diff($like, $known, Sections::AS_STAFF)));
    }

    public function test_sections_name_columns_that_there_are_and_have_words(): void
    {
        foreach (Sections::all() as $section) {
            $columns = Schema::getColumnListing($section->table);
            self::assertSame([], array_values(array_diff([...$section->by, ...$section->addresses, ...$section->secret, ...array_keys($section->blank), ...array_keys($section->only)], $columns)), $section->table);
            self::assertSame($section->onErasing === OnErasing::WordsGo, $section->blank !== [], $section->table);
            foreach ($section->handedOut ? ['en', 'nb'] : [] as $language) {
                self::assertTrue(Lang::hasForLocale("kept.sections.{$section->table}", $language), "{$section->table} in {$language}");
            }
        }
        foreach ([...Sections::TOLD, ...Sections::REWRITTEN] as $table) {
            self::assertTrue(Lang::has("privacy_told.places.{$table}"), $table);
        }
    }

    public function test_no_secret_is_handed_out(): void
    {
        $open = [];
        foreach (array_filter(Sections::all(), static fn (Section $section): bool => $section->handedOut) as $section) {
            foreach (array_diff(Schema::getColumnListing($section->table), $section->secret) as $column) {
                if (preg_match('/token|password|secret|hash|sealed|payload|signature|_key$/', $column) === 1 && ! in_array($column, ['item_key', 'offer_key', 'tokenable_type', 'tokenable_id'], true)) {
                    $open[] = "{$section->table}.{$column}";
                }
            }
        }
        self::assertSame([], $open);
    }

    /** What people are told of what is kept of them is what the program goes by. */
    public function test_the_document_names_every_section(): void
    {
        $document = (string) file_get_contents(base_path('docs/privacy.md'));
        foreach (Sections::all() as $section) {
            $told = match ($section->onErasing) {
                OnErasing::AtOnce => 'goes at once',
                OnErasing::RowsGo => 'goes',
                OnErasing::WordsGo => 'words go',
                OnErasing::Stays => 'stays, nobody’s',
            };
            self::assertMatchesRegularExpression('/^\| `'.$section->table.'` \|.*\| '.$told.' \|$/m', $document, $section->table);
        }
    }
}
