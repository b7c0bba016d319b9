<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** A rule whose answer fits into one field, so that it can stand in a gap or a cell. */
interface FieldRule extends Rule
{
    public function fromField(string $text): Response;

    public function intoField(Response $response): string;
}
