<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Words\Say;

/** The letters that the school writes by itself, and those that somebody there writes by hand. */
enum LetterKind: string
{
    case Welcome = 'welcome';
    case PassGiven = 'pass-given';
    case OpenedToday = 'opened-today';
    case EndsSoon = 'ends-soon';
    case Ended = 'ended';
    case TrialEnds = 'trial-ends';
    case Observer = 'observer';
    case NextRun = 'next-run';
    /** Written by hand, to one or to many. */
    case ByHand = 'by-hand';

    /** @return list<self> with words of their own, in the order in which somebody may get them */
    public static function written(): array
    {
        return array_slice(self::cases(), 0, -1);
    }

    public function title(): string
    {
        return Say::text("letters.kinds.{$this->value}.title");
    }

    /** When it is written, to whoever runs the school. */
    public function told(): string
    {
        return Say::text("letters.kinds.{$this->value}.told");
    }

    /** @return array{string, string} what it is and when it is written, to whoever gets it */
    public function toYou(): array
    {
        return [Say::text("letters.kinds.{$this->value}.to_you.title"), Say::text("letters.kinds.{$this->value}.to_you.told")];
    }

    /** Whether it is written where nobody has settled anything: what no school was asked about is not written by surprise. */
    public function isOnAtFirst(): bool
    {
        return in_array($this, [self::TrialEnds, self::Observer, self::NextRun, self::ByHand], true);
    }

    /** Whether only those get it who have asked for it. */
    public function isAskedFor(): bool
    {
        return $this === self::OpenedToday;
    }

    /** Days before the end of a pass, where it counts any. */
    public function daysAtFirst(): ?int
    {
        return $this === self::EndsSoon ? 7 : null;
    }

    /** The hour of the day, where it has one. */
    public function hourAtFirst(): ?int
    {
        return $this === self::OpenedToday ? 9 : null;
    }

    /** @return list<string> what can stand in braces in its words */
    public function placeholders(): array
    {
        return ['name', 'school', 'contact', ...match ($this) {
            self::Welcome => ['courses', 'address'],
            self::PassGiven => ['course', 'offer', 'begins', 'until', 'open', 'next', 'address'],
            self::OpenedToday => ['day', 'lines', 'address'],
            self::EndsSoon => ['course', 'offer', 'ends', 'days', 'when', 'address'],
            self::Ended => ['course', 'offer', 'ended', 'open', 'address'],
            self::TrialEnds => ['course', 'offer', 'ends', 'due', 'address'],
            self::Observer => ['learners', 'lines', 'address'],
            self::NextRun => ['course', 'opens', 'address'],
            self::ByHand => [],
        }];
    }

    /** Without which it tells nothing. */
    public function mustSay(): ?string
    {
        return match ($this) {
            self::OpenedToday, self::Observer => 'lines',
            self::PassGiven, self::NextRun => 'address',
            self::EndsSoon => 'ends',
            self::TrialEnds => 'due',
            self::Welcome, self::Ended, self::ByHand => null,
        };
    }

    /** @return array{string, string} subject and body to begin with */
    public function usual(): array
    {
        return [Say::unfilled("letters.kinds.{$this->value}.subject"), Say::unfilled("letters.kinds.{$this->value}.body")];
    }
}
