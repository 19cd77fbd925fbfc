<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentOffer;
use App\Models\Document\DocumentTime;

/** What differs between two documents of a course, one sentence for each thing that was set. */
final readonly class Differences
{
    /** @param  list<Sentence>  $sentences */
    private function __construct(public array $sentences)
    {
    }

    public static function between(?CourseDocument $before, CourseDocument $after): self
    {
        if ($before === null) {
            return new self([Sentence::say('wording.differences.title_published_for_first', titles: ['title' => $after->title()])]);
        }
        $title = self::titles($before, $after);
        [$before, $renamed] = self::renamePlans($before, $after);

        return new self([
            ...FieldDifferences::of(Say::text('wording.differences.the_course'), $before->read(), $after->read(), ['items', 'plans', 'key', 'display'], $title),
            ...self::phrase($before, $after),
            ...self::items($before, $after, $title),
            ...$renamed,
            ...self::plans($before, $after, $title),
            ...self::offers($before, $after, $title),
        ]);
    }

    /**
     * A plan that is gone and one that is new with the same times are one, renamed.
     *
     * @return array{CourseDocument, list<Sentence>} what was before, with the new names
     */
    private static function renamePlans(CourseDocument $before, CourseDocument $after): array
    {
        $old = self::plansOf($before);
        $new = self::plansOf($after);
        $sentences = [];
        foreach (array_diff_key($old, $new) as $name => $plan) {
            foreach (array_diff_key($new, $old) as $to => $same) {
                if ($plan === $same) {
                    $before = $sentences === [] ? $before->copy() : $before;
                    $before->renamePlan((string) $name, (string) $to);
                    $sentences[] = Sentence::say('wording.differences.release_plan_title_called', titles: ['title' => (string) $name, 'to' => (string) $to]);
                    unset($new[$to]);
                    break;
                }
            }
        }

        return [$before, $sentences];
    }

    /**
     * The phrase itself is nobody's to read in a history.
     *
     * @return list<Sentence>
     */
    private static function phrase(CourseDocument $before, CourseDocument $after): array
    {
        return match (true) {
            $before->guestPhrase() === $after->guestPhrase() => [],
            $after->guestPhrase() === null => [Sentence::say('wording.differences.guest_door_asks_for')],
            $before->guestPhrase() === null => [Sentence::say('wording.differences.guest_door_asks_for_pass')],
            default => [Sentence::say('wording.differences.guest_door_asks_for_another')],
        };
    }

    /** @return \Closure(string): string the title of an item or offer, as it is after the change */
    private static function titles(CourseDocument $before, CourseDocument $after): \Closure
    {
        $titles = [];
        foreach ([...$before->readOffers(), ...$after->readOffers(), ...array_values($before->readItems()), ...array_values($after->readItems())] as $thing) {
            $titles[$thing->key()] = $thing->title();
        }

        return static fn (string $key): string => $titles[$key] ?? $key;
    }

    /**
     * @param  \Closure(string): string  $title
     * @return list<Sentence>
     */
    private static function items(CourseDocument $before, CourseDocument $after, \Closure $title): array
    {
        $old = $before->readItems();
        $new = $after->readItems();
        $sentences = [];
        $stoodIn = self::containers($before);
        $standsIn = self::containers($after);
        foreach ($new as $key => $item) {
            if (! isset($old[$key])) {
                $sentences[] = Sentence::say('wording.differences.title_is_added', titles: ['title' => $item->title()]);
            } else {
                if (($stoodIn[$key] ?? '') !== ($standsIn[$key] ?? '')) {
                    $sentences[] = ($standsIn[$key] ?? '') === ''
                        ? Sentence::say('wording.differences.title_moves_top', titles: ['title' => $item->title()])
                        : Sentence::say('wording.differences.title_moves_into_title2', titles: ['title' => $item->title(), 'title2' => $title($standsIn[$key])]);
                }
                array_push($sentences, ...FieldDifferences::of(Sentence::title($item->title()), $old[$key], $item, ['items', 'key'], $title));
            }
        }
        foreach (array_diff_key($old, $new) as $item) {
            $sentences[] = Sentence::say('wording.differences.title_is_taken_out', titles: ['title' => $item->title()]);
        }
        $moved = array_filter(array_keys($new), static fn (int|string $key): bool => ($stoodIn[$key] ?? '') !== ($standsIn[$key] ?? ''));
        $stayed = array_diff_key(array_intersect_key($new, $old), array_flip($moved));
        if (self::order($old, $stayed) !== self::order($new, $stayed) || array_keys(array_intersect_key($old, $stayed)) !== array_keys(array_intersect_key($stayed, $old))) {
            $sentences[] = Sentence::say('wording.differences.outline_in_another_order');
        }

        return $sentences;
    }

    /** @return array<array-key, string> the key of what each item stands in; nothing at the top */
    private static function containers(CourseDocument $document): array
    {
        $in = [];
        foreach ($document->read()->places() as $place) {
            $in[$place->item->key()] = $place->path === [] ? '' : $place->path[count($place->path) - 1]->key();
        }

        return $in;
    }

    /**
     * @param  array<array-key, DocumentItem>  $items
     * @param  array<array-key, DocumentItem>  $others
     * @return list<array{string, list<string>}> of the items that both have: the key and the keys directly inside
     */
    private static function order(array $items, array $others): array
    {
        $order = [];
        foreach ($items as $key => $item) {
            if (isset($others[$key])) {
                $order[] = [(string) $key, array_values(array_filter(array_map(static fn (DocumentItem $inside): string => $inside->key(), $item->items()), static fn (string $inside): bool => isset($others[$inside])))];
            }
        }

        return $order;
    }

    /**
     * @param  \Closure(string): string  $title
     * @return list<Sentence>
     */
    private static function plans(CourseDocument $before, CourseDocument $after, \Closure $title): array
    {
        $old = self::plansOf($before);
        $new = self::plansOf($after);
        $sentences = [];
        foreach ($new as $name => $plan) {
            if (! isset($old[$name])) {
                $sentences[] = Sentence::say('wording.differences.release_plan_title_added', titles: ['title' => (string) $name]);

                continue;
            }
            $where = count($new) > 1 ? Say::text('wording.differences.in_plan', ['name' => $name]) : '';
            foreach (array_keys($old[$name] + $plan) as $key) {
                foreach (['opens', 'closes'] as $when) {
                    $was = self::when($when, $before->read()->time((string) $name, (string) $key, $when));
                    $is = self::when($when, $after->read()->time((string) $name, (string) $key, $when));
                    if ($was !== $is) {
                        $sentences[] = Sentence::say('wording.differences.title_when_where_was', ['when' => $when, 'is' => $is, 'where' => $where, 'was' => $was], ['title' => $title((string) $key)]);
                    }
                }
            }
        }
        foreach (array_keys(array_diff_key($old, $new)) as $name) {
            $sentences[] = Sentence::say('wording.differences.release_plan_title_taken', titles: ['title' => (string) $name]);
        }

        return $sentences;
    }

    /** @param  'opens'|'closes'  $when */
    private static function when(string $when, ?DocumentTime $time): string
    {
        return $when === 'opens' ? RuleWords::opening($time) ?? Say::text('wording.differences.as_what_stands_in') : RuleWords::closing($time) ?? 'never';
    }

    /** @return array<array-key, array<array-key, array<array-key, string>>> what each release plan says, by its name */
    private static function plansOf(CourseDocument $document): array
    {
        $plans = [];
        foreach ($document->read()->planNames() as $name) {
            $plans[$name] = $document->read()->times($name);
        }

        return $plans;
    }

    /**
     * @param  \Closure(string): string  $title
     * @return list<Sentence>
     */
    private static function offers(CourseDocument $before, CourseDocument $after, \Closure $title): array
    {
        $old = self::byKey($before->readOffers());
        $new = self::byKey($after->readOffers());
        $sentences = [];
        foreach ($new as $key => $offer) {
            array_push($sentences, ...(isset($old[$key])
                ? FieldDifferences::of(Say::text('wording.differences.the_offer', ['title' => Sentence::title($offer->title())]), $old[$key], $offer, ['key', 'course'], $title)
                : [Sentence::say('wording.differences.offer_title_added', titles: ['title' => $offer->title()])]));
        }
        foreach (array_diff_key($old, $new) as $offer) {
            $sentences[] = Sentence::say('wording.differences.offer_title_taken_out', titles: ['title' => $offer->title()]);
        }

        return $sentences;
    }

    /**
     * @param  list<DocumentOffer>  $offers
     * @return array<array-key, DocumentOffer>
     */
    private static function byKey(array $offers): array
    {
        return array_combine(array_map(static fn (DocumentOffer $offer): string => $offer->key(), $offers), $offers);
    }
}
