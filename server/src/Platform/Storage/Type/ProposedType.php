<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Item\ProposedQuestion;

/** @extends DocumentType<ProposedQuestion> */
final class ProposedType extends DocumentType
{
    protected function read(array $json): ProposedQuestion
    {
        return ProposedQuestion::read($json);
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
