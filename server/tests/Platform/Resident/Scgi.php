<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform\Resident;

/** A request in the bytes in which the web server hands it over. */
final readonly class Scgi
{
    /** @param array<string, string> $headers */
    public static function bytes(array $headers, string $body = ''): string
    {
        $written = '';
        foreach (['CONTENT_LENGTH' => (string) strlen($body), 'SCGI' => '1', ...$headers] as $name => $value) {
            $written .= "$name\0$value\0";
        }

        return strlen($written).":$written,$body";
    }
}
