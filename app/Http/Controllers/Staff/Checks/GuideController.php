<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Checks;

use App\Pages\Guide\GuideBuilder;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The guide, within the program. */
final readonly class GuideController
{
    public function __construct(private GuideBuilder $guide)
    {
    }

    public function show(): Response
    {
        return Inertia::render('keep/Guide', get_object_vars($this->guide->page()));
    }

    public function picture(string $name): BinaryFileResponse
    {
        return new BinaryFileResponse($this->guide->picture($name) ?? abort(404), 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=3600']);
    }
}
