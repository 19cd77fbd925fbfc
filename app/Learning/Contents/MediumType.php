<?php

declare(strict_types=1);

namespace App\Learning\Contents;

/** What a file is taken for, by what is in it and never by its name. */
final readonly class MediumType
{
    public const WORDS = ['image' => 'picture', 'audio' => 'recording', 'video' => 'video', 'file' => 'file'];

    /** What browsers show or play; all else is a file to be downloaded. Pictures that can hold scripts are not among them. */
    private const SHOWN = [
        'image/png' => 'image', 'image/jpeg' => 'image', 'image/webp' => 'image', 'image/gif' => 'image',
        'audio/mpeg' => 'audio', 'audio/ogg' => 'audio', 'audio/x-wav' => 'audio', 'audio/wav' => 'audio', 'audio/mp4' => 'audio', 'audio/x-m4a' => 'audio', 'audio/flac' => 'audio',
        'video/mp4' => 'video', 'video/webm' => 'video', 'video/ogg' => 'video',
    ];

    private function __construct(public string $kind, public string $type)
    {
    }

    /** @param  string  $path  of the file */
    public static function of(string $path): self
    {
        $type = (string) (new \finfo(FILEINFO_MIME_TYPE))->file($path);
        if ($type === 'application/ogg') {
            $type = 'audio/ogg';
        }

        return isset(self::SHOWN[$type]) ? new self(self::SHOWN[$type], $type) : new self('file', 'application/octet-stream');
    }
}
