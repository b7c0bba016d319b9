<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Sitting\Conditions;

/** @extends DocumentType<Conditions> */
final class ConditionsType extends DocumentType
{
    protected function read(array $json): Conditions
    {
        return Conditions::fromArray($json);
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
