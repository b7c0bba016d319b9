<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperReader;

/** @extends DocumentType<Paper> */
final class PaperType extends DocumentType
{
    protected function read(array $json): Paper
    {
        return PaperReader::read($json);
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
