<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use ChalkLadder\Core\Item\Response;

/** One stored response, as re-marking sees it. */
final readonly class Given
{
    /**
     * @param bool   $setByHand a person has set this mark; re-marking leaves it alone
     * @param string $case      like responses of one case are worth the same: '' where all are alike, a sitting's id and
     *                          its try where own numbers or earlier answers play a part
     */
    public function __construct(public string $id, public Response $response, public bool $setByHand = false, public string $case = '')
    {
    }
}
