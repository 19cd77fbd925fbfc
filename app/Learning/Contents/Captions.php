<?php

declare(strict_types=1);

namespace App\Learning\Contents;

/** What is said in a recording and when, as a file of WebVTT holds it: checked as a whole, and read cue by cue. */
final readonly class Captions
{
    private const TIME = '(?:(\d{2,}):)?([0-5]\d):([0-5]\d)\.(\d{3})';

    /** @param  list<Cue>  $cues  in order */
    private function __construct(public string $text, public array $cues)
    {
    }

    /** @throws NotCaptions with the line at which it is none */
    public static function of(string $file): self
    {
        $text = (string) preg_replace(['/^\x{FEFF}/u', '/\r\n?/'], ['', "\n"], $file);
        if (preg_match('//u', $text) !== 1 || preg_match('/^WEBVTT(?:[ \t][^\n]*)?(?:\n|$)/', $text) !== 1) {
            throw new NotCaptions(1);
        }
        $lines = explode("\n", $text);
        $cues = [];
        $begun = 0.0;
        for ($at = 1; $at < count($lines); $at++) {
            if (! str_contains($lines[$at], '-->')) {
                continue;
            }
            if (preg_match('/^\s*'.self::TIME.'\s+-->\s+'.self::TIME.'(?:\s.*)?$/D', $lines[$at], $time) !== 1) {
                throw new NotCaptions($at + 1);
            }
            [$from, $until] = [self::seconds($time[1], $time[2], $time[3], $time[4]), self::seconds($time[5], $time[6], $time[7], $time[8])];
            if ($until <= $from || $from < $begun) {
                throw new NotCaptions($at + 1);
            }
            $begun = $from;
            $said = [];
            while (isset($lines[$at + 1]) && trim($lines[$at + 1]) !== '') {
                $said[] = $lines[++$at];
            }
            $words = self::plain(implode(' ', $said));
            if ($words !== '') {
                $cues[] = new Cue($from, $words);
            }
        }

        return $cues === [] ? throw new NotCaptions(count($lines)) : new self($text, $cues);
    }

    private static function seconds(string $hours, string $minutes, string $seconds, string $thousandths): float
    {
        return (int) $hours * 3600 + (int) $minutes * 60 + (int) $seconds + (int) $thousandths / 1000;
    }

    /** Without what tells who speaks, or how it looks. */
    private static function plain(string $cue): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', html_entity_decode((string) preg_replace('/<[^>]*>/', '', $cue), ENT_QUOTES | ENT_HTML5)));
    }
}
