<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\WhoLooks;
use App\Learning\ChangeCalendarLink;
use App\Learning\Contents\LessonContents;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Learning\OwnCalendar;
use App\Learning\SayOnBoard;
use App\Learning\TakePostBack;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Learner\BoardPageBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilentKeep\Core\Outline\Kind;
use Symfony\Component\HttpFoundation\Response;

/** What is said on boards, and the private link to one's own dates. */
final readonly class BoardController
{
    private const SAID = ['text' => ['required', 'string', 'max:5000']];

    public function __construct(private LearnerViews $views, private LessonContents $contents, private WhoLooks $who)
    {
    }

    public function store(Request $request, Course $course, string $item, SayOnBoard $say): RedirectResponse
    {
        [$person, $view] = $this->discussion($request, $course, $item);
        abort_if($view->decision($item)?->act !== true, 403);
        $request->validate(self::SAID + ['once' => ['nullable', 'string', 'max:40'], 'answers' => ['nullable', 'integer', 'min:1']], self::messages());
        $done = $say($person, $course, $item, $request->string('text')->toString(), $request->filled('once') ? $request->string('once')->toString() : null, $request->filled('answers') ? $request->integer('answers') : null);

        return $done ? back() : back()->with(Flash::refused(Say::text('learner.board.gone')));
    }

    /** For a while one changes what one has said. */
    public function update(Request $request, Course $course, string $item, int $post, SayOnBoard $say): RedirectResponse
    {
        [$person, $view] = $this->discussion($request, $course, $item);
        abort_if($view->decision($item)?->act !== true, 403);
        $request->validate(self::SAID, self::messages());
        $done = $say->change($person, $course, $item, $post, $request->string('text')->toString());
        abort_if($done === null, 404);

        return $done ? back() : back()->with(Flash::refused(Say::text('learner.board.too_late')));
    }

    public function destroy(Request $request, Course $course, string $item, int $post, TakePostBack $takeBack): RedirectResponse
    {
        [$person] = $this->discussion($request, $course, $item);
        abort_if(! $takeBack($person, $course, $item, $post), 404);

        return back();
    }

    public function changeLink(Request $request, ChangeCalendarLink $change): RedirectResponse
    {
        $person = WhoLooks::person($request);
        abort_if($person === null, 404);
        $change($person);

        return back();
    }

    /** Known by its link alone, so that a calendar program can ask for it. */
    public function calendar(Request $request, string $token, OwnCalendar $own): Response
    {
        $file = $own->file($token, $request->boolean('days'));
        abort_if($file === null, 404);
        $answer = new Response($file, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, no-cache']);
        $answer->setEtag(hash('xxh128', $file))->isNotModified($request);

        return $answer;
    }

    /** @return array<string, string> */
    private static function messages(): array
    {
        return ['text.required' => Say::text('learner.asked.post'), 'text.max' => Say::text('learner.asked.post_long')];
    }

    /** @return array{Person, LearnerView} */
    private function discussion(Request $request, Course $course, string $item): array
    {
        $person = WhoLooks::person($request);
        $view = $this->views->at($course, $this->who->at($request, $course));
        $decision = $view?->decision($item);
        abort_if($person === null || $view === null || $decision === null || $view->kind($item) !== Kind::Board, 404);
        abort_if(! $view->isOpen($item), 403);
        abort_if(BoardPageBuilder::kindOf($this->contents->of($course, $decision)) !== 'discussion', 404);

        return [$person, $view];
    }
}
