<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Server\Paper\ReadModel\EditionReader;
use ChalkLadder\Server\Platform\Http\Problem;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Service\ResetInterface;

/** Published states of papers as they are asked, each read once by a machine. Every page of students needs one, so it needs little. */
final class PublishedPapers implements ResetInterface
{
    /** Of those that a request has used, a worker that stays keeps the last; a lesson asks for the same one again and again. */
    private const KEPT = 8;

    /** @var array<string, PublishedPaper> the last used last */
    private array $used = [];

    /** @param \Closure(): EditionReader $reader made for what this machine has not read yet */
    public function __construct(
        #[AutowireServiceClosure(EditionReader::class)]
        private readonly \Closure $reader,
        private readonly CacheInterface $cache,
    ) {
    }

    /** @param int|null $rulesVersion saves a query where the caller has just read it */
    public function load(string $id, ?int $rulesVersion = null): PublishedPaper
    {
        $rulesVersion ??= ($this->reader)()->rulesVersion($id) ?? throw Problem::notFound('The edition');

        $place = "edition-$id-$rulesVersion";
        $paper = $this->used[$place] ?? $this->cache->get(
            $place,
            fn (): PublishedPaper => ($this->reader)()->read($id) ?? throw Problem::notFound('The edition'),
        );
        unset($this->used[$place]);

        return $this->used[$place] = $paper;
    }

    public function reset(): void
    {
        $this->used = array_slice($this->used, -self::KEPT);
        foreach ($this->used as $paper) {
            $paper->forgetDraws();
        }
    }
}
