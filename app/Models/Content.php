<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What a lesson or part says. Only ever read once the core has said that the item is open.
 *
 * @property int $id
 * @property int $course_id
 * @property string $item_key
 * @property string $text Markdown
 * @property list<array{ask: string, answers: list<string>, right: list<int>, kind?: string, told?: list<string>, within?: float|int}> $quiz
 * @property ?array<string, mixed> $quiz_rules tries, wait in minutes, shuffle, bands; null: as often as one likes
 * @property ?string $board what a board is for
 * @property ?int $minutes that it takes, as its author says; null: as reckoned
 * @property ?array{token: string, x: int, y: int} $cover of a module: a picture, and what of it is kept in view, in per cent
 * @property int $version
 * @property ?int $written_by
 * @property ?array{text: string, quiz: list<array{ask: string, answers: list<string>, right: list<int>}>, quiz_rules: ?array<string, mixed>, board: ?string, minutes: ?int, cover?: ?array{token: string, x: int, y: int}} $drafted goes live with the draft of the course
 * @property int $drafted_version
 * @property ?\Illuminate\Support\Carbon $updated_at
 */
final class Content extends Record
{
    protected $table = 'contents';

    protected $guarded = [];

    protected $casts = ['quiz' => 'array', 'quiz_rules' => 'array', 'drafted' => 'array', 'cover' => 'array'];
}
