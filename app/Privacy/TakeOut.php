<?php

declare(strict_types=1);

namespace App\Privacy;

use App\Database\Value;
use App\Files\LocalCopies;
use App\Models\Course;
use App\Models\CsvForm;
use App\Models\Offer;
use App\Models\Person;
use App\Privacy\Held\Holdings;
use App\Privacy\Held\Section;
use App\Words\Say;
use Illuminate\Database\Query\Builder;
use Psr\Clock\ClockInterface;
use ZipArchive;

/**
 * All that is kept of somebody in one archive: `person.json` with all of it, a CSV file (RFC 4180) for each table of it, and `read-me.txt`,
 * which says what each is. Instants are those of RFC 3339, in UTC. What opens doors is not in it, nor who else is named by more than a number.
 */
final readonly class TakeOut
{
    private const JSON = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;

    /** Rows that are held in memory at once. */
    private const GROUP = 1000;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return string path of the archive, which is whoever's called to let go of */
    public function __invoke(Person $person): string
    {
        $archive = LocalCopies::newFile();
        $zip = new ZipArchive;
        if ($zip->open($archive, ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException('The archive cannot be written.');
        }
        $keys = ['course_id' => self::keys(Course::query()->pluck('key', 'id')->all()), 'offer_id' => self::keys(Offer::query()->pluck('key', 'id')->all())];
        $whole = LocalCopies::newFile();
        $json = self::opened($whole);
        fwrite($json, '{"made_at": "'.gmdate('Y-m-d\TH:i:s\Z', $this->clock->now()->getTimestamp()).'"');
        $files = [$whole];
        $told = [];
        foreach (Holdings::of($person) as $holding) {
            $files[] = $csv = LocalCopies::newFile();
            $name = $holding->section->table;
            fwrite($json, ",\n\"{$name}\": [");
            self::section($holding->section, $person, $keys, $json, self::opened($csv));
            fwrite($json, "\n]");
            $zip->addFile($csv, "{$name}.csv");
            $told[] = "{$name}.csv: ".Say::text("kept.sections.{$name}")." ({$holding->rows})";
        }
        fwrite($json, "}\n");
        fclose($json);
        $zip->addFile($whole, 'person.json');
        $zip->addFromString('read-me.txt', Say::text('kept.read_me', ['name' => $person->name])."\n\n".implode("\n", $told)."\n");
        $written = $zip->close();
        array_map(unlink(...), $files);

        return $written ? $archive : throw new \RuntimeException('The archive cannot be written.');
    }

    /**
     * @param  array<string, array<int, string>>  $keys  what numbers stand for
     * @param  resource  $json
     * @param  resource  $csv
     */
    private static function section(Section $section, Person $person, array $keys, $json, $csv): void
    {
        $columns = null;
        self::rows($section, $person)->lazy(self::GROUP)->each(static function (object $row) use ($section, $keys, $json, $csv, &$columns): void {
            $told = [];
            foreach ((array) $row as $column => $value) {
                $column = (string) $column;
                if (! in_array($column, $section->secret, true)) {
                    $is = self::told($value);
                    $told[$column] = is_array($is) ? array_diff_key($is, array_flip($section->others)) : $is;
                    if (isset($keys[$column]) && is_numeric($value)) {
                        $told[substr($column, 0, -3)] = $keys[$column][(int) $value] ?? null;
                    }
                }
            }
            fwrite($json, ($columns === null ? "\n" : ",\n").json_encode($told, self::JSON));
            if ($columns === null) {
                $columns = array_keys($told);
                fputcsv($csv, $columns, escape: '', eol: "\r\n");
            }
            fputcsv($csv, array_map(self::cell(...), array_values($told)), escape: '', eol: "\r\n");
        });
        fclose($csv);
    }

    private static function rows(Section $section, Person $person): Builder
    {
        $rows = Holdings::rows($section, $person->id, Holdings::addresses($person));

        return $section->table === 'edited_courses' ? $rows->orderBy('course_id') : $rows->orderBy('id');
    }

    /** As it is told outside: instants with their zone, what is stored as JSON as what it is. */
    private static function told(mixed $value): mixed
    {
        return match (true) {
            ! is_string($value) => $value,
            preg_match('/^(\d{4}-\d\d-\d\d) (\d\d:\d\d:\d\d)$/D', $value, $parts) === 1 => "{$parts[1]}T{$parts[2]}Z",
            preg_match('/^[\[{]/', $value) === 1 => json_decode($value, true) ?? $value,
            default => $value,
        };
    }

    private static function cell(mixed $value): string
    {
        return CsvForm::cell(match (true) {
            is_array($value) => json_encode($value, self::JSON),
            is_bool($value) => $value ? 'true' : 'false',
            default => is_scalar($value) ? (string) $value : '',
        });
    }

    /** @return resource */
    private static function opened(string $path)
    {
        return fopen($path, 'wb') ?: throw new \RuntimeException('The archive cannot be written.');
    }

    /**
     * @param  array<array-key, mixed>  $keys
     * @return array<int, string>
     */
    private static function keys(array $keys): array
    {
        $texts = [];
        foreach ($keys as $id => $key) {
            $texts[(int) $id] = Value::text($key);
        }

        return $texts;
    }
}
