<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;

/** @extends DocumentType<Response> */
final class ResponseType extends DocumentType
{
    protected function read(array $json): Response
    {
        return ResponseReader::fromArray($json);
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
