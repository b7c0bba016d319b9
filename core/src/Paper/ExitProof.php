<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

/** What can be said of one way on from a section, over the patterns of marks that students can have there. */
final readonly class ExitProof
{
    public const MAY = 'may';
    /** every student goes this way */
    public const ALWAYS = 'always';
    /** no pattern of marks meets its condition */
    public const NEVER = 'never';
    /** what meets its condition goes an earlier way */
    public const TAKEN_ABOVE = 'taken above';

    /**
     * @param self::*  $says
     * @param bool     $exact    false: over a sample of the patterns, or with credits in tenths
     * @param int      $patterns that were looked at
     */
    public function __construct(public string $to, public string $says, public bool $exact, public int $patterns)
    {
    }

    public function isPossible(): bool
    {
        return $this->says === self::MAY || $this->says === self::ALWAYS;
    }
}
