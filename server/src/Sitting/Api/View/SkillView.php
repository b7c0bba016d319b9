<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** How a student stands with one skill of the paper, by its mastery rule. */
final readonly class SkillView
{
    /**
     * @param string       $wanted   what is still wanted, in words, or `shown`
     * @param list<string> $entries  questions that are evidence of it
     */
    public function __construct(public string $name, public string $wanted, public bool $isShown, public array $entries)
    {
    }
}
