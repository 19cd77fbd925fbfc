<?php

declare(strict_types=1);

namespace App\Pages\Labels;

use App\Labels\LabelUse;
use App\Labels\LabelUses;
use App\Labels\MergedAccess;
use App\Labels\UsedLabel;
use App\Pages\Shared\CountedChange;
use App\Pages\Shared\ImpactLine;
use App\Words\Say;

/** Puts together what is seen of labels. */
final readonly class LabelsPageBuilder
{
    public function __construct(private LabelUses $uses, private MergedAccess $merged)
    {
    }

    public function page(bool $mayRun): LabelsPage
    {
        return new LabelsPage(array_values(array_map(
            static fn (UsedLabel $one): LabelRow => new LabelRow($one->label, $one->people, array_map(self::use(...), $one->where(gives: true)), array_map(self::use(...), $one->where(gives: false))),
            $this->uses->all(),
        )), $mayRun);
    }

    /** In each course whose rules ask for either. */
    public function merged(string $from, string $to): CountedChange
    {
        return new CountedChange('', ImpactLine::each($this->merged->of($from, $to)));
    }

    private static function use(LabelUse $use): LabelUseRow
    {
        $text = $use->course === null ? $use->title : Say::text($use->drafted ? 'school_told.labels.in_draft' : 'school_told.labels.in_course', ['title' => $use->title, 'course' => $use->course]);

        return new LabelUseRow($text, route($use->route, $use->query, false));
    }
}
