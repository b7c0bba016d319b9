<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Sitting\FeedbackPlan;

/** @extends DocumentType<FeedbackPlan> */
final class FeedbackPlanType extends DocumentType
{
    protected function read(array $json): FeedbackPlan
    {
        return FeedbackPlan::fromArray($json);
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
