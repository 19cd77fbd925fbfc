<?php

declare(strict_types=1);

namespace App\Pages\Learner\Inside;

use App\Front\Covers;
use App\Front\DrawnCover;
use App\Learning\Contents\LessonContents;
use App\Learning\LearnerView;
use App\Models\Content;
use App\Models\Course;
use App\Pages\Shared\ReadyTexts;
use App\School\Pictures\Pictures;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Outline\Kind;

/** What stands beneath the headings of the modules that are open to somebody. */
final readonly class ModuleIntrosBuilder
{
    public function __construct(private LessonContents $contents, private Pictures $pictures, private ReadyTexts $texts)
    {
    }

    /**
     * Two queries.
     *
     * @param  bool  $drafted  as it is to be once the draft of the course is published: for those who run the school
     * @return list<ModuleIntro> in the order of the outline
     */
    public function of(Course $course, LearnerView $view, bool $drafted): array
    {
        $items = $view->answer->decider->course->outline->items;
        $modules = array_values(array_filter($view->answer->decisions(), static fn (Decision $decision, int $position): bool => $items[$position]->kind === Kind::Module, ARRAY_FILTER_USE_BOTH));
        $contents = array_values(array_filter($this->contents->ofMany($course, $modules, drafted: $drafted), static fn (Content $content): bool => trim($content->text) !== '' || $content->cover !== null));
        $pictures = $this->pictures->all(array_values(array_filter(array_map(static fn (Content $content): string => $content->cover['token'] ?? '', $contents), static fn (string $token): bool => $token !== '')));

        $texts = $this->texts->all("modules {$course->id}", array_map(static fn (Content $content): string => $content->text, $contents));

        return array_map(static function (Content $content, int $nth) use ($pictures, $course, $texts): ModuleIntro {
            $picture = $pictures[$content->cover['token'] ?? ''] ?? null;

            return new ModuleIntro($content->item_key, $texts[$nth] ?? '', $picture === null ? null : Covers::shown($picture, $content->cover['x'] ?? 50, $content->cover['y'] ?? 50, DrawnCover::of($course->key, '')));
        }, $contents, array_keys($contents));
    }
}
