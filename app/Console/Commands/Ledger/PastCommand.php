<?php

declare(strict_types=1);

namespace App\Console\Commands\Ledger;

use App\Access\SchoolClock;
use App\Ledger\Past\PastLooker;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Api\Decisions\ItemDecision;
use App\Pages\Api\Decisions\PastDecisionsBuilder;
use Illuminate\Console\Command;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\InvalidTime;

final class PastCommand extends Command
{
    protected $signature = 'keep:past {course : its key} {at : instant with its offset, or a date and time of the school: 2026-03-09T09:00}
        {--person= : address or number; left out: a visitor} {--with= : number of the learner with whom they looked in} {--guest : come by the guest link} {--json}';

    protected $description = 'What was open, locked or hidden at an instant that is past, by the rules and by what was known then';

    public function handle(PastDecisionsBuilder $decisions, SchoolClock $clock): int
    {
        $course = Course::query()->where('key', $this->text('course'))->first();
        $at = self::instant($this->text('at'), $clock);
        $named = $this->text('person');
        $person = $named === '' || ctype_digit($named) ? (int) $named : Person::query()->where('email', mb_strtolower($named))->first()?->id;
        if ($course === null || $at === null || $at > $clock->now() || $person === null) {
            $this->error(match (true) {
                $course === null => 'There is no course of this key.',
                $person === null => 'There is nobody of that address.',
                default => 'That is no instant that is past.',
            });

            return self::INVALID;
        }
        $told = $decisions->of($course, new PastLooker($person === 0 ? null : $person, $this->option('guest') === true, (int) $this->text('with') ?: null), $at, inWords: true);
        if ($told === null) {
            $this->error('The course was not published then.');

            return self::FAILURE;
        }
        if ($this->option('json') === true) {
            $this->line(json_encode($told, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));

            return self::SUCCESS;
        }
        $this->line("By revision {$told->revision}.".($told->was_there ? '' : ' Nobody of that number was known here.'));
        $now = array_column($told->known_now ?? $told->items, null, 'item');
        $this->table(['item', 'then', 'why', 'as known now'], array_map(static fn (ItemDecision $one): array => [$one->item, $one->state, $one->words ?? '', ($now[$one->item]->state ?? '') === $one->state ? '' : $now[$one->item]->state ?? ''], $told->items));

        return self::SUCCESS;
    }

    private static function instant(string $text, SchoolClock $clock): ?int
    {
        try {
            return Instant::parse($text);
        } catch (InvalidTime) {
            return $clock->instant($text);
        }
    }

    private function text(string $name): string
    {
        $value = $this->hasArgument($name) ? $this->argument($name) : $this->option($name);

        return is_string($value) ? $value : '';
    }
}
