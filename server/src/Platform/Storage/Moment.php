<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

/** A moment as the database keeps it (with microseconds) and as the interface speaks of it. */
final class Moment
{
    public static function stored(\DateTimeInterface $moment): string
    {
        return $moment->format('Y-m-d H:i:s.uP');
    }

    /** ISO 8601 in UTC, to the millisecond. */
    public static function iso(string|\DateTimeInterface $moment): string
    {
        $moment = is_string($moment) ? new \DateTimeImmutable($moment) : \DateTimeImmutable::createFromInterface($moment);

        return $moment->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s.v\Z');
    }

    /** @return ($moment is null ? null : string) */
    public static function isoOrNull(string|\DateTimeInterface|null $moment): ?string
    {
        return $moment === null ? null : self::iso($moment);
    }

    public static function read(string $moment): \DateTimeImmutable
    {
        return (new \DateTimeImmutable($moment))->setTimezone(new \DateTimeZone('UTC'));
    }
}
