<?php

declare(strict_types=1);

/*
 * What every request uses is compiled and linked once, when the server starts (opcache.preload): the framework's own
 * list, what that leaves out, then the rules and the rooms. Names the list by the environment of the instance, as ops/lib.sh
 * sets it.
 */
$list = glob(getenv('CHALK_STATE').'/cache/'.getenv('APP_ENV').'/*Container.preload.php');
foreach (is_array($list) ? $list : [] as $file) {
    require_once $file;
}
$root = dirname(__DIR__);
// Found by what get_included_files() tells at the end of a request; each such file costs a request some ten microseconds.
$used = [
    ...array_values(Doctrine\DBAL\Types\Type::getTypesMap()),
    ...array_map(static fn (string $type): string => "Symfony\\Bridge\\Doctrine\\Types\\{$type}Type", ['Uuid', 'Ulid', 'DatePoint', 'DayPoint', 'TimePoint']),
    Doctrine\Bundle\DoctrineBundle\Mapping\ClassMetadataFactory::class,
    Doctrine\DBAL\Connection\StaticServerVersionProvider::class,
    Doctrine\DBAL\Driver\PDO\PgSQL\Driver::class,
    Doctrine\DBAL\Driver\PDO\Result::class,
    Doctrine\DBAL\Driver\PDO\Statement::class,
    Doctrine\DBAL\DriverManager::class,
    Doctrine\DBAL\ExpandArrayParameters::class,
    Doctrine\DBAL\Platforms\PostgreSQL120Platform::class,
    Doctrine\DBAL\Platforms\PostgreSQL\PostgreSQLMetadataProvider::class,
    Doctrine\DBAL\Schema\PostgreSQLSchemaManager::class,
    Doctrine\Instantiator\Instantiator::class,
    Doctrine\ORM\Event\ListenersInvoker::class,
    Doctrine\ORM\Event\OnClearEventArgs::class,
    Doctrine\ORM\Event\OnFlushEventArgs::class,
    Doctrine\ORM\Event\PostFlushEventArgs::class,
    Doctrine\ORM\Event\PreFlushEventArgs::class,
    Doctrine\ORM\Events::class,
    Doctrine\ORM\Id\AssignedGenerator::class,
    Doctrine\ORM\Internal\HydrationCompleteHandler::class,
    Doctrine\ORM\Internal\Hydration\SimpleObjectHydrator::class,
    Doctrine\ORM\Internal\TopologicalSort::class,
    Doctrine\ORM\Internal\UnitOfWork\InsertBatch::class,
    Doctrine\ORM\Mapping\Driver\AttributeReader::class,
    Doctrine\ORM\Mapping\ManyToOneAssociationMapping::class,
    Doctrine\ORM\Mapping\OneToManyAssociationMapping::class,
    Doctrine\ORM\Mapping\PropertyAccessors\EnumPropertyAccessor::class,
    Doctrine\ORM\Mapping\PropertyAccessors\ObjectCastPropertyAccessor::class,
    Doctrine\ORM\Mapping\PropertyAccessors\PropertyAccessorFactory::class,
    Doctrine\ORM\Mapping\PropertyAccessors\TypedNoDefaultPropertyAccessor::class,
    Doctrine\ORM\Persisters\Entity\BasicEntityPersister::class,
    Doctrine\ORM\Persisters\Entity\CachedPersisterContext::class,
    Doctrine\ORM\Proxy\DefaultProxyClassNameResolver::class,
    Doctrine\ORM\Query\Filter\Parameter::class,
    Doctrine\ORM\Query\ParameterTypeInferer::class,
    Doctrine\ORM\Utility\IdentifierFlattener::class,
    Doctrine\ORM\Utility\LockSqlHelper::class,
    Doctrine\ORM\Utility\PersisterHelper::class,
    Doctrine\Persistence\Mapping\RuntimeReflectionService::class,
    Doctrine\Persistence\Reflection\RuntimeReflectionProperty::class,
    League\Flysystem\Local\FallbackMimeTypeDetector::class,
    League\Flysystem\PathPrefixer::class,
    League\Flysystem\UnixVisibility\PortableVisibilityConverter::class,
    League\Flysystem\WhitespacePathNormalizer::class,
    League\MimeTypeDetection\FinfoMimeTypeDetector::class,
    League\MimeTypeDetection\GeneratedExtensionToMimeTypeMap::class,
    Masterminds\HTML5::class,
    Masterminds\HTML5\Parser\CharacterReference::class,
    Masterminds\HTML5\Parser\DOMTreeBuilder::class,
    Masterminds\HTML5\Parser\Scanner::class,
    Masterminds\HTML5\Parser\Tokenizer::class,
    Masterminds\HTML5\Parser\TreeBuildingRules::class,
    Masterminds\HTML5\Parser\UTF8Utils::class,
    Symfony\Component\Clock\NativeClock::class,
    Symfony\Component\HtmlSanitizer\Parser\MastermindsParser::class,
    Symfony\Component\HtmlSanitizer\Reference\W3CReference::class,
    Symfony\Component\HtmlSanitizer\TextSanitizer\StringSanitizer::class,
    Symfony\Component\HtmlSanitizer\Visitor\AttributeSanitizer\MetaRefreshAttributeSanitizer::class,
    Symfony\Component\HtmlSanitizer\Visitor\AttributeSanitizer\UrlAttributeSanitizer::class,
    Symfony\Component\HtmlSanitizer\Visitor\DomVisitor::class,
    Symfony\Component\HtmlSanitizer\Visitor\Model\Cursor::class,
    Symfony\Component\HtmlSanitizer\Visitor\Node\DocumentNode::class,
    Symfony\Component\HtmlSanitizer\Visitor\Node\Node::class,
    Symfony\Component\HtmlSanitizer\Visitor\Node\TextNode::class,
    Symfony\Component\Routing\Attribute\Route::class,
    Symfony\Component\Security\Core\AuthenticationEvents::class,
    Symfony\Component\Security\Http\Attribute\CurrentUser::class,
    Symfony\Component\Security\Http\Attribute\IsGranted::class,
    Symfony\Component\Security\Http\Authenticator\Token\PostAuthenticationToken::class,
    Symfony\Component\Security\Http\Event\AuthenticationTokenCreatedEvent::class,
    Symfony\Component\VarExporter\Hydrator::class,
    Symfony\Component\VarExporter\ProxyHelper::class,
];
foreach ($used as $class) {
    class_exists($class);
}
foreach (["$root/core/src", "$root/server/src", "$root/vendor/brick/math/src"] as $room) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($room, FilesystemIterator::SKIP_DOTS)) as $file) {
        $isCode = $file instanceof SplFileInfo && $file->getExtension() === 'php';
        if ($isCode && !in_array($file->getPathname(), get_included_files(), true)) {
            opcache_compile_file($file->getPathname());
        }
    }
}
