<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

/** An entity that is loaded and kept as a whole. It notes what has happened to it; {@see Transaction} passes that on. */
interface Root
{
    /** @return list<object> what has happened since the last call */
    public function happened(): array;
}
