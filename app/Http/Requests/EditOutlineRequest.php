<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Drafts\Edits\Edit;
use App\Drafts\Edits\SetField;
use App\Drafts\Outline\AddItems;
use App\Drafts\Outline\DeleteItems;
use App\Drafts\Outline\DuplicateItem;
use App\Drafts\Outline\MoveItem;
use App\Drafts\Outline\NewRow;
use App\Drafts\Outline\PlaceItems;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** One change of the outline: what is there and in which order. */
final class EditOutlineRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer', 'min:0'],
            'do' => ['required', Rule::in(['add', 'rows', 'rename', 'move', 'place', 'duplicate', 'delete'])],
            'item' => ['nullable', 'required_if:do,rename,move,duplicate', 'string'],
            'items' => ['required_if:do,delete,place', 'array', 'max:2000'],
            'items.*' => ['string'],
            'kind' => ['required_if:do,add', Rule::in(['module', 'lesson', 'part', 'board'])],
            'titles' => ['required_if:do,add', 'nullable', 'string', 'max:100000'],
            'rows' => ['required_if:do,rows', 'array', 'max:2000', self::nested(...)],
            'rows.*.depth' => ['required', 'integer', 'between:0,9'],
            'rows.*.kind' => ['required', Rule::in(['module', 'lesson', 'part', 'board'])],
            'rows.*.title' => ['required', 'string', 'max:255'],
            'inside' => ['boolean'],
            'first' => ['boolean'],
            'title' => ['required_if:do,rename', 'nullable', 'string', 'max:255'],
            'step' => ['required_if:do,move', Rule::in(['up', 'down', 'in', 'out'])],
            'target' => ['required_if:do,place', 'nullable', 'string'],
            'where' => ['required_if:do,place', Rule::in(['before', 'after', 'inside'])],
            'meant' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'titles.required_if' => Say::text('refused.edit_outline_request.please_type_at_least'),
            'title.required_if' => Say::text('refused.edit_outline_request.row_needs_title'),
            'title.max' => Say::text('refused.edit_outline_request.that_longer_than_255'),
        ];
    }

    public function edit(): Edit
    {
        $item = $this->string('item')->toString();

        return match ($this->input('do')) {
            'add', 'rows' => new AddItems($this->newRows(), $item === '' ? null : $item, $this->boolean('inside'), $this->boolean('first')),
            'rename' => new SetField('title', [$item], $this->string('title')->trim()->toString()),
            'move' => new MoveItem($item, $this->step()),
            'place' => new PlaceItems($this->keys(), $this->string('target')->toString(), $this->where()),
            'duplicate' => new DuplicateItem($item),
            default => new DeleteItems($this->keys()),
        };
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_values(array_filter((array) $this->input('items'), is_string(...)));
    }

    /** Each row stands in the one before, beside it, or further out. */
    private static function nested(string $attribute, mixed $rows, \Closure $fail): void
    {
        $before = -1;
        foreach (is_array($rows) ? $rows : [] as $row) {
            $depth = is_array($row) ? $row['depth'] ?? null : null;
            if (! is_numeric($depth) || (int) $depth > $before + 1) {
                $fail(Say::text('refused.edit_outline_request.row_stands_in_none'));

                return;
            }
            $before = (int) $depth;
        }
    }

    /** @return list<NewRow> */
    private function newRows(): array
    {
        if ($this->input('do') === 'add') {
            return array_map(fn (string $title): NewRow => new NewRow(0, $this->string('kind')->toString(), $title), $this->titles());
        }
        $rows = [];
        foreach ((array) $this->input('rows') as $row) {
            if (is_array($row) && is_string($row['title'] ?? null) && is_string($row['kind'] ?? null) && is_numeric($row['depth'] ?? null)) {
                $rows[] = new NewRow((int) $row['depth'], $row['kind'], trim($row['title']));
            }
        }

        return $rows;
    }

    /** @return list<string> one a line */
    private function titles(): array
    {
        $lines = preg_split('/\R/u', $this->string('titles')->toString()) ?: [];

        return array_values(array_filter(array_map(static fn (string $line): string => mb_substr(trim($line), 0, 255), $lines), static fn (string $line): bool => $line !== ''));
    }

    /** @return 'before'|'after'|'inside' */
    private function where(): string
    {
        return match ($this->input('where')) {
            'before' => 'before',
            'inside' => 'inside',
            default => 'after',
        };
    }

    /** @return 'up'|'down'|'in'|'out' */
    private function step(): string
    {
        return match ($this->input('step')) {
            'up' => 'up',
            'in' => 'in',
            'out' => 'out',
            default => 'down',
        };
    }
}
