<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Course;
use App\Models\NoticeText;

/**
 * The school's own words at closed doors. The most specific hold: the item's own before its module's, the course's, the school's
 * and the usual ones; at each of these the words for the holders of an offer before those for everybody.
 */
final readonly class NoticeTexts
{
    /**
     * All that is said anywhere in a course, for whoever asks of many doors: one query.
     *
     * @return array<string, NoticeText> by scope and kind
     */
    public function within(Course $course): array
    {
        $texts = [];
        foreach (NoticeText::query()->with('shared')->where('course_id', $course->id)->orWhere('scope', NoticePlace::school()->scope())->get() as $text) {
            $texts[self::key($text->scope, $text->case)] = self::spoken($text);
        }

        return $texts;
    }

    /** @return array<string, NoticeText> all that is said anywhere, as {@see within()} has it: one query */
    public function everywhere(): array
    {
        $texts = [];
        foreach (NoticeText::query()->with('shared')->get() as $text) {
            $texts[self::key($text->scope, $text->case)] = self::spoken($text);
        }

        return $texts;
    }

    /**
     * As it would be with words that are not kept yet.
     *
     * @param  array<string, NoticeText>  $texts
     * @return array<string, NoticeText>
     */
    public static function with(array $texts, NoticeText $new): array
    {
        return [...$texts, self::key($new->scope, $new->case) => $new];
    }

    /**
     * Whatever is said at a door, the most specific first; empty where nothing but the usual words is.
     *
     * @param  list<string>  $path  keys of the item and of what it stands in, the item first
     * @param  list<string>  $offers  of which the one who meets it holds or held a pass
     * @param  ?array<string, NoticeText>  $texts  of the course, where they are known
     * @return list<StandingWords>
     */
    public function at(Course $course, array $path, array $offers, NoticeCase $case, ?array $texts = null): array
    {
        $texts ??= $this->within($course);
        $standing = [];
        foreach ([...$path, null] as $index => $item) {
            $level = match (true) {
                $item === null => NoticeLevel::Course,
                $index === 0 => NoticeLevel::Own,
                default => NoticeLevel::Module,
            };
            foreach ([...$offers, null] as $offer) {
                $text = $texts[self::key(NoticePlace::at($course, $item, $offer)->scope(), $case->value)] ?? null;
                $text === null ? null : $standing[] = new StandingWords($level, $text, $item);
            }
        }
        $school = $texts[self::key(NoticePlace::school()->scope(), $case->value)] ?? null;

        return $school === null ? $standing : [...$standing, new StandingWords(NoticeLevel::School, $school, null)];
    }

    /** @return array<array-key, NoticeText> by kind, of this place alone */
    public function of(NoticePlace $place): array
    {
        return NoticeText::query()->with('shared')->where('scope', $place->scope())->get()->map(self::spoken(...))->keyBy('case')->all();
    }

    /** With the words of the shared notice that stands there, where one does; not to be kept so. */
    private static function spoken(NoticeText $text): NoticeText
    {
        return $text->way === 'shared' && $text->shared?->live !== null ? $text->forceFill($text->shared->live) : $text;
    }

    private static function key(string $scope, string $case): string
    {
        return "{$scope}\n{$case}";
    }
}
