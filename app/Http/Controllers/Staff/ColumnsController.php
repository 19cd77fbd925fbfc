<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Drafts\Rules\RuleColumn;
use App\Models\CsvForm;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** How somebody has arranged things for themselves: the columns of the Rules lens, and the form of CSV files. */
final readonly class ColumnsController
{
    /** The latest of them holds: it is for one pair of eyes. None: as they are at first. */
    public function store(Request $request): Response
    {
        $request->validate([
            'columns' => ['present', 'array', 'max:'.count(RuleColumn::IDS)],
            'columns.*.id' => ['required', 'distinct', Rule::in(RuleColumn::IDS)],
            'columns.*.width' => ['required', 'integer', 'between:'.implode(',', RuleColumn::WIDTHS)],
        ]);
        $columns = array_map(static fn (mixed $one): array => is_array($one) ? ['id' => $one['id'] ?? '', 'width' => is_numeric($one['width'] ?? null) ? (int) $one['width'] : 0] : [], array_values((array) $request->input('columns')));
        WhoLooks::signedIn($request)->forceFill(['rule_columns' => $columns === [] ? null : $columns])->save();

        return new Response(status: 204);
    }

    /** In which form they are given CSV files from now on. Empty: as each is usually. */
    public function csv(Request $request): RedirectResponse
    {
        $request->validate(['form' => ['nullable', Rule::enum(CsvForm::class)]]);
        WhoLooks::signedIn($request)->forceFill(['csv_form' => $request->filled('form') ? CsvForm::from($request->string('form')->toString()) : null])->save();

        return back();
    }
}
