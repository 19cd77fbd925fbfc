<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody has sent by a form.
 *
 * @property int $id
 * @property int $form_id
 * @property ?int $person_id
 * @property string $name
 * @property string $email
 * @property bool $consents
 * @property list<array{ask: string, answer: string}> $answers
 * @property string $once
 * @property \DateTimeImmutable $sent_at
 * @property Form $form
 */
final class FormAnswer extends Record
{
    protected $table = 'form_answers';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['consents' => 'boolean', 'answers' => 'array', 'sent_at' => UtcInstant::class];

    /** @return BelongsTo<Form, $this> */
    public function form(): BelongsTo
    {
        return $this->belongsTo(Form::class);
    }
}
