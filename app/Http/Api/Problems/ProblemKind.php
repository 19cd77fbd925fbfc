<?php

declare(strict_types=1);

namespace App\Http\Api\Problems;

/** What can be wrong with a question, each with one status. Its words are in lang/, and on the page that describes the interface. */
enum ProblemKind: string
{
    case NotJson = 'not-json';
    case BadRequest = 'bad-request';
    case NoToken = 'no-token';
    case NotSigned = 'not-signed';
    case NotAllowed = 'not-allowed';
    case NotFound = 'not-found';
    case WrongMethod = 'wrong-method';
    case Collision = 'collision';
    case UnderWay = 'under-way';
    case ChangedMeanwhile = 'changed-meanwhile';
    case TooMuch = 'too-much';
    case WrongType = 'wrong-type';
    case Invalid = 'invalid';
    case KeyUsed = 'key-used';
    case Unseen = 'unseen';
    case VersionNeeded = 'version-needed';
    case TooOften = 'too-often';
    case Broken = 'broken';
    case Busy = 'busy';
    case NotBegun = 'not-begun';
    case Full = 'full';

    public function status(): int
    {
        return match ($this) {
            self::NotJson, self::BadRequest => 400,
            self::NoToken, self::NotSigned => 401,
            self::NotAllowed => 403,
            self::NotFound => 404,
            self::WrongMethod => 405,
            self::Collision, self::UnderWay, self::Unseen => 409,
            self::ChangedMeanwhile => 412,
            self::TooMuch => 413,
            self::WrongType => 415,
            self::Invalid, self::KeyUsed => 422,
            self::VersionNeeded => 428,
            self::TooOften => 429,
            self::Broken => 500,
            self::Busy, self::NotBegun => 503,
            self::Full => 507,
        };
    }

    /** The one that a status says where nothing more is known. */
    public static function ofStatus(int $status): self
    {
        foreach (self::cases() as $kind) {
            if ($kind->status() === $status) {
                return $kind === self::NotJson ? self::BadRequest : $kind;
            }
        }

        return $status < 500 ? self::BadRequest : self::Broken;
    }
}
