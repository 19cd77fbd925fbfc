<?php

declare(strict_types=1);

namespace App\Http\Controllers\Keep;

use App\Actions\DiscardDraft;
use App\Actions\DraftConflict;
use App\Actions\EditDraft;
use App\Actions\PublishDraft;
use App\Actions\UndoDraftEdit;
use App\Http\Requests\DraftRequest;
use App\Http\Requests\EditRulesRequest;
use App\Keep\Edits\CannotEdit;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;

final class DraftController
{
    public function edit(EditRulesRequest $request, Course $course, EditDraft $edit): RedirectResponse
    {
        $change = $request->edit();
        try {
            $edit($course, $request->integer('version'), $change, self::editor($request));
        } catch (InvalidPlan $e) {
            throw ValidationException::withMessages(self::messages($e, $change->pointer()));
        } catch (CannotEdit|DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        return back();
    }

    public function undo(DraftRequest $request, Course $course, UndoDraftEdit $undo): RedirectResponse
    {
        try {
            $undo($course, $request->version(), self::editor($request));
        } catch (DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        return back();
    }

    public function discard(DraftRequest $request, Course $course, DiscardDraft $discard): RedirectResponse
    {
        try {
            $discard($course, $request->version(), self::editor($request));
        } catch (DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        return back()->with('flash', ['kind' => 'done', 'text' => 'The draft is gone. What is live has not changed.', 'lines' => []]);
    }

    public function publish(DraftRequest $request, Course $course, PublishDraft $publish): RedirectResponse
    {
        try {
            [$revision, $changes] = $publish($course, $request->version(), $request->note(), self::editor($request));
        } catch (DraftConflict $e) {
            return self::refused($e->getMessage());
        }

        return redirect()->route('keep.course', $course)->with('flash', ['kind' => 'done', 'text' => "Published as revision {$revision->number}. It is live now.", 'lines' => $changes]);
    }

    private static function refused(string $message): RedirectResponse
    {
        return back()->with('flash', ['kind' => 'refused', 'text' => $message, 'lines' => []]);
    }

    private static function editor(\Illuminate\Http\Request $request): Person
    {
        $person = $request->user();
        assert($person instanceof Person);

        return $person;
    }

    /** @return array<string, string> by the form's field */
    private static function messages(InvalidPlan $refusal, string $pointer): array
    {
        $messages = [];
        foreach ($refusal->offences as $offence) {
            $field = str_starts_with($offence->pointer, $pointer.'/') ? substr($offence->pointer, strlen($pointer) + 1) : 'rule';
            $messages[$field] ??= self::sentence($offence);
        }

        return $messages;
    }

    private static function sentence(Offence $offence): string
    {
        return 'This '.$offence->message.'.';
    }
}
