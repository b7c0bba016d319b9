<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Item\Response;

/** @extends DocumentType<Response> */
final class ResponseType extends DocumentType
{
    protected function read(array $json): Response
    {
        return Response::fromArray($json);
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
