<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Item\ItemTemplate;

/** @extends DocumentType<ItemTemplate> */
final class QuestionType extends DocumentType
{
    protected function read(array $json): ItemTemplate
    {
        return ItemTemplate::read($json);
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
