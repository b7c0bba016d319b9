<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** Why an answer cannot be taken into a key. */
final class NotAcceptable extends \DomainException
{
    /** @param string $field what is to be changed: accept, credit, or '' where nothing helps */
    public function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }
}
