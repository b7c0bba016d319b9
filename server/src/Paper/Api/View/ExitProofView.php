<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

use ChalkLadder\Core\Paper\ExitProof;

/** What is proved of one way on from a section. */
final readonly class ExitProofView
{
    /**
     * @param string $says     may, always, never, or taken above: whoever meets its condition has gone an earlier way
     * @param bool   $exact    over all patterns of marks, not a sample of them
     * @param int    $patterns that were looked at
     */
    private function __construct(public string $to, public string $says, public bool $exact, public int $patterns)
    {
    }

    public static function of(ExitProof $exit): self
    {
        return new self($exit->to, $exit->says, $exit->exact, $exit->patterns);
    }
}
