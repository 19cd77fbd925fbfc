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
    /** How many places of each kind are listed of a label. */
    private const FEW = 12;

    public function __construct(private LabelUses $uses, private MergedAccess $merged)
    {
    }

    /** @param  string  $all  the label of which every place is listed; of the others the first few are */
    public function page(bool $mayRun, string $all): LabelsPage
    {
        return new LabelsPage(array_values(array_map(static function (UsedLabel $one) use ($all): LabelRow {
            $most = $one->label === $all ? null : self::FEW;
            [$gives, $asks] = [array_slice($one->where(gives: true), 0, $most), array_slice($one->where(gives: false), 0, $most)];

            return new LabelRow($one->label, $one->people, array_map(self::use(...), $gives), array_map(self::use(...), $asks), count($one->uses) - count($gives) - count($asks));
        }, $this->uses->all())), $mayRun);
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
