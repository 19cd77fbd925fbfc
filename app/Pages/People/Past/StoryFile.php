<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Ledger\Proof\Head;
use App\Ledger\Proof\SealedFiles;
use App\Models\Person;
use App\Words\Say;
use SilentKeep\Core\Time\Instant;

/** Somebody's story as a file to be sent: to read, for programs, and signed. Of other people it names nobody. */
final readonly class StoryFile
{
    private const JSON = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR;

    public function __construct(private PastPageBuilder $pages, private SchoolClock $clock, private SchoolOf $school)
    {
    }

    /** @return ?string path of the archive; null where there is no course to be told of */
    public function of(Person $person, string $course, ?int $with): ?string
    {
        $page = $this->pages->page($person, $course, $with, named: false);
        if ($page->course === null) {
            return null;
        }
        $title = $page->course;
        foreach ($page->courses as $pick) {
            $title = $pick->key === $page->course ? $pick->title : $title;
        }
        $head = [
            'school' => ($this->school)()->name, 'person' => $page->name, 'course' => $title, 'from' => Instant::format($page->from), 'until' => Instant::format($page->now), 'zone' => $this->clock->zone(),
            // The end of the ledger: what it is told from is all that stood before it.
            'ledger' => Head::now()->told(),
        ];
        $told = array_map(static fn (PastTurn $turn): array => [
            'at' => Instant::format($turn->at), 'when' => $turn->when, 'what' => array_map(self::line(...), $turn->lines),
            'opened' => self::titles($page, $turn->opened), 'closed' => self::titles($page, $turn->shut),
        ], $page->turns);
        $told = array_values(array_filter($told, static fn (array $turn): bool => [...$turn['what'], ...$turn['opened'], ...$turn['closed']] !== []));

        return SealedFiles::write(['story.txt' => $this->text($page, $title, $told), 'story.json' => json_encode([...$head, 'known_since' => $page->wholeSince, 'turns' => $told], self::JSON)."\n"], $head);
    }

    /** @param  list<array{at: string, when: string, what: list<string>, opened: list<string>, closed: list<string>}>  $turns */
    private function text(PastPage $page, string $title, array $turns): string
    {
        $text = Say::text('past_told.file.head', ['school' => ($this->school)()->name, 'name' => $page->name, 'course' => $title, 'when' => $this->clock->words($page->now), 'zone' => $this->clock->zoneName()])."\n";
        $text .= $page->wholeSince === null ? '' : Say::text('past_told.file.whole', ['when' => $page->wholeSince])."\n";
        foreach ($turns as $turn) {
            $lines = $turn['what'];
            foreach (['opened', 'closed'] as $what) {
                if ($turn[$what] !== []) {
                    $lines[] = Say::text("past_told.file.{$what}", ['titles' => implode(', ', $turn[$what])]);
                }
            }
            $text .= "\n{$turn['when']}\n".implode('', array_map(static fn (string $line): string => "  {$line}\n", $lines));
        }

        return $text."\n".Say::text('past_told.file.end')."\n";
    }

    private static function line(PastLine $line): string
    {
        return $line->by === null ? (string) $line->words : "{$line->words} ({$line->by})";
    }

    /**
     * @param  list<int>  $places
     * @return list<string>
     */
    private static function titles(PastPage $page, array $places): array
    {
        return array_map(static fn (int $place): string => $page->rows[$place]->title ?? '', $places);
    }
}
