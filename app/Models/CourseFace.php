<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What a course shows of itself to whoever has not come in: its words beside `about`, and its cover.
 *
 * @property int $course_id
 * @property string $sentence
 * @property list<string> $outcomes what one will be able to do
 * @property list<array{ask: string, answer: string}> $questions answers in Markdown
 * @property string $cover token of a picture; empty: it is drawn
 * @property int $focus_x what of the picture is kept in view, in per cent from the left
 * @property int $focus_y from the top
 * @property string $drawing which drawing stands there without a picture; empty: that of its key
 * @property ?string $contact_name whom to ask; null: whom the school names
 * @property ?string $contact_email
 * @property int $version
 */
final class CourseFace extends Record
{
    protected $table = 'course_faces';

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'course_id';

    protected $guarded = [];

    protected $casts = ['outcomes' => 'array', 'questions' => 'array'];

    protected $attributes = ['sentence' => '', 'outcomes' => '[]', 'questions' => '[]', 'cover' => '', 'focus_x' => 50, 'focus_y' => 50, 'drawing' => '', 'version' => 0];
}
