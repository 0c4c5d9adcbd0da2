/*M!999999\- enable the sandbox mode */ 
/*!40103 SET @OLD_TIME_ZONE=@@TIME_ZONE */;
/*!40103 SET TIME_ZONE='+00:00' */;
/*!40014 SET @OLD_UNIQUE_CHECKS=@@UNIQUE_CHECKS, UNIQUE_CHECKS=0 */;
/*!40014 SET @OLD_FOREIGN_KEY_CHECKS=@@FOREIGN_KEY_CHECKS, FOREIGN_KEY_CHECKS=0 */;
/*!40101 SET @OLD_SQL_MODE=@@SQL_MODE, SQL_MODE='NO_AUTO_VALUE_ON_ZERO' */;
/*!40111 SET @OLD_SQL_NOTES=@@SQL_NOTES, SQL_NOTES=0 */;
DROP TABLE IF EXISTS `activity_log`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `activity_log` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `log_name` varchar(20) DEFAULT NULL,
  `description` varchar(200) NOT NULL,
  `subject_type` varchar(120) DEFAULT NULL,
  `subject_id` varchar(60) DEFAULT NULL,
  `event` varchar(20) DEFAULT NULL,
  `causer_type` varchar(255) DEFAULT NULL,
  `causer_id` bigint(20) unsigned DEFAULT NULL,
  `properties` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`properties`)),
  `batch_uuid` uuid DEFAULT NULL,
  `card_id` bigint(20) unsigned DEFAULT NULL,
  `who` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `activity_log_causer_type_causer_id_index` (`causer_type`,`causer_id`),
  KEY `activity_log_subject_type_subject_id_index` (`subject_type`,`subject_id`),
  KEY `activity_log_card_id_index` (`card_id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!50003 SET @saved_cs_client      = @@character_set_client */ ;
/*!50003 SET @saved_cs_results     = @@character_set_results */ ;
/*!50003 SET @saved_col_connection = @@collation_connection */ ;
/*!50003 SET character_set_client  = utf8mb4 */ ;
/*!50003 SET character_set_results = utf8mb4 */ ;
/*!50003 SET collation_connection  = utf8mb4_unicode_ci */ ;
/*!50003 SET @saved_sql_mode       = @@sql_mode */ ;
/*!50003 SET sql_mode              = 'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION' */ ;
DELIMITER ;;
/*!50003 CREATE*/ /*!50003 TRIGGER book_lines_stay BEFORE UPDATE ON activity_log FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'Lines of the books are only ever added.' 
*/;;
DELIMITER ;
/*!50003 SET sql_mode              = @saved_sql_mode */ ;
/*!50003 SET character_set_client  = @saved_cs_client */ ;
/*!50003 SET character_set_results = @saved_cs_results */ ;
/*!50003 SET collation_connection  = @saved_col_connection */ ;
DROP TABLE IF EXISTS `adapters`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `adapters` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tag` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `buses` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`buses`)),
  `measured` double DEFAULT NULL,
  `measured_how` varchar(120) DEFAULT NULL,
  `measured_run_id` bigint(20) unsigned DEFAULT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `adapters_tag_unique` (`tag`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `bench_questions`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `bench_questions` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `station_id` bigint(20) unsigned NOT NULL,
  `question` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`question`)),
  `answer` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`answer`)),
  `asked_at` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `bench_questions_station_id_foreign` (`station_id`),
  CONSTRAINT `bench_questions_station_id_foreign` FOREIGN KEY (`station_id`) REFERENCES `stations` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `body_trials`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `body_trials` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `camera_id` bigint(20) unsigned NOT NULL,
  `card_id` bigint(20) unsigned NOT NULL,
  `answer` varchar(12) NOT NULL,
  `firmware` varchar(40) DEFAULT NULL,
  `by` varchar(80) NOT NULL,
  `tried_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `body_trials_camera_id_foreign` (`camera_id`),
  KEY `body_trials_card_id_foreign` (`card_id`),
  CONSTRAINT `body_trials_camera_id_foreign` FOREIGN KEY (`camera_id`) REFERENCES `cameras` (`id`),
  CONSTRAINT `body_trials_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `bursts`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `bursts` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `camera_id` bigint(20) unsigned NOT NULL,
  `card_id` bigint(20) unsigned NOT NULL,
  `frames` int(10) unsigned NOT NULL,
  `frame` bigint(20) unsigned NOT NULL,
  `per_second` double NOT NULL,
  `clear` double NOT NULL,
  `by` varchar(80) NOT NULL,
  `logged_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `bursts_camera_id_foreign` (`camera_id`),
  KEY `bursts_card_id_foreign` (`card_id`),
  CONSTRAINT `bursts_camera_id_foreign` FOREIGN KEY (`camera_id`) REFERENCES `cameras` (`id`),
  CONSTRAINT `bursts_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `cables`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `cables` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tag` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `link` varchar(30) NOT NULL,
  `measured` double DEFAULT NULL,
  `measured_how` varchar(120) DEFAULT NULL,
  `measured_run_id` bigint(20) unsigned DEFAULT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `cables_tag_unique` (`tag`),
  KEY `cables_measured_run_id_foreign` (`measured_run_id`),
  CONSTRAINT `cables_measured_run_id_foreign` FOREIGN KEY (`measured_run_id`) REFERENCES `runs` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `cache`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `cache` (
  `key` varchar(255) NOT NULL,
  `value` mediumtext NOT NULL,
  `expiration` int(11) NOT NULL,
  PRIMARY KEY (`key`),
  KEY `cache_expiration_index` (`expiration`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `cache_locks`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `cache_locks` (
  `key` varchar(255) NOT NULL,
  `owner` varchar(255) NOT NULL,
  `expiration` int(11) NOT NULL,
  PRIMARY KEY (`key`),
  KEY `cache_locks_expiration_index` (`expiration`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `camera_modes`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `camera_modes` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `camera_id` bigint(20) unsigned NOT NULL,
  `name` varchar(80) NOT NULL,
  `kind` varchar(12) NOT NULL,
  `writes` double NOT NULL,
  `shot` bigint(20) unsigned DEFAULT NULL,
  `frames` double DEFAULT NULL,
  `clip` double DEFAULT NULL,
  `asks_mark` varchar(8) DEFAULT NULL,
  `asks_guaranteed` tinyint(1) NOT NULL DEFAULT 0,
  `asks_form` varchar(16) DEFAULT NULL,
  `refuses` tinyint(1) NOT NULL DEFAULT 1,
  `records` varchar(12) NOT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `proxy_writes` double DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `camera_modes_camera_id_name_unique` (`camera_id`,`name`),
  CONSTRAINT `camera_modes_camera_id_foreign` FOREIGN KEY (`camera_id`) REFERENCES `cameras` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `camera_slots`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `camera_slots` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `camera_id` bigint(20) unsigned NOT NULL,
  `name` varchar(60) NOT NULL,
  `buses` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`buses`)),
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `camera_slots_camera_id_name_unique` (`camera_id`,`name`),
  CONSTRAINT `camera_slots_camera_id_foreign` FOREIGN KEY (`camera_id`) REFERENCES `cameras` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `cameras`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `cameras` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tag` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `cameras_tag_unique` (`tag`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `cards`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `cards` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tag` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `form` varchar(20) NOT NULL,
  `capacity` bigint(20) unsigned NOT NULL,
  `family` varchar(8) DEFAULT NULL,
  `bus` varchar(30) DEFAULT NULL,
  `marks` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`marks`)),
  `read` double DEFAULT NULL,
  `write` double DEFAULT NULL,
  `sustained` double DEFAULT NULL,
  `times` double DEFAULT NULL,
  `contact_rows` tinyint(3) unsigned DEFAULT NULL,
  `footage` bigint(20) unsigned NOT NULL DEFAULT 0,
  `stand_in` varchar(200) DEFAULT NULL,
  `line` varchar(120) NOT NULL,
  `verdict` varchar(10) NOT NULL DEFAULT 'Unproven',
  `overruled` varchar(12) DEFAULT NULL,
  `next_step` varchar(20) NOT NULL DEFAULT 'measure',
  `recorded_by` varchar(80) DEFAULT NULL,
  `revision` int(10) unsigned NOT NULL DEFAULT 0,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `serial` varchar(60) DEFAULT NULL,
  `serial_key` varchar(60) DEFAULT NULL,
  `back_code` varchar(60) DEFAULT NULL,
  `back_code_key` varchar(60) DEFAULT NULL,
  `lot` varchar(60) DEFAULT NULL,
  `lot_key` varchar(60) DEFAULT NULL,
  `price` bigint(20) unsigned DEFAULT NULL,
  `currency` char(3) DEFAULT NULL,
  `seller` varchar(80) DEFAULT NULL,
  `order_no` varchar(60) DEFAULT NULL,
  `bought_on` date DEFAULT NULL,
  `provenance` varchar(20) DEFAULT NULL,
  `changed_at` datetime(6) DEFAULT NULL,
  `footage_files` int(10) unsigned NOT NULL DEFAULT 0,
  `stopped` smallint(5) unsigned NOT NULL DEFAULT 0,
  `due_on` date DEFAULT NULL,
  `due_test` varchar(8) DEFAULT NULL,
  `due_why` varchar(200) DEFAULT NULL,
  `retired_on` date DEFAULT NULL,
  `retired_why` varchar(200) DEFAULT NULL,
  `retired_by` varchar(80) DEFAULT NULL,
  `keeps_up` double DEFAULT NULL,
  `label_line` varchar(300) DEFAULT NULL,
  `in_decimal` bigint(20) unsigned DEFAULT NULL,
  `has_unread` tinyint(1) NOT NULL DEFAULT 0,
  `found_by` varchar(160) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin GENERATED ALWAYS AS (lcase(concat(`tag`,' ',`line`,' ',`verdict`))) STORED INVISIBLE,
  PRIMARY KEY (`id`),
  UNIQUE KEY `cards_tag_unique` (`tag`),
  KEY `cards_serial_key_index` (`serial_key`),
  KEY `cards_back_code_key_index` (`back_code_key`),
  KEY `cards_changed_at_index` (`changed_at`),
  KEY `cards_due_on_index` (`due_on`),
  KEY `cards_in_the_tray` (`tag`,`found_by`),
  KEY `cards_on_the_line` (`next_step`,`footage`,`overruled`,`verdict`,`retired_on`,`due_on`),
  KEY `cards_footage_tag_index` (`footage`,`tag`),
  KEY `cards_retired_on_keeps_up_tag_index` (`retired_on`,`keeps_up`,`tag`),
  KEY `cards_lot_key_overruled_verdict_index` (`lot_key`,`overruled`,`verdict`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!50003 SET @saved_cs_client      = @@character_set_client */ ;
/*!50003 SET @saved_cs_results     = @@character_set_results */ ;
/*!50003 SET @saved_col_connection = @@collation_connection */ ;
/*!50003 SET character_set_client  = utf8mb4 */ ;
/*!50003 SET character_set_results = utf8mb4 */ ;
/*!50003 SET collation_connection  = utf8mb4_unicode_ci */ ;
/*!50003 SET @saved_sql_mode       = @@sql_mode */ ;
/*!50003 SET sql_mode              = 'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION' */ ;
DELIMITER ;;
/*!50003 CREATE*/ /*!50003 TRIGGER cards_are_new BEFORE INSERT ON cards FOR EACH ROW SET NEW.changed_at = NOW(6) 
*/;;
DELIMITER ;
/*!50003 SET sql_mode              = @saved_sql_mode */ ;
/*!50003 SET character_set_client  = @saved_cs_client */ ;
/*!50003 SET character_set_results = @saved_cs_results */ ;
/*!50003 SET collation_connection  = @saved_col_connection */ ;
/*!50003 SET @saved_cs_client      = @@character_set_client */ ;
/*!50003 SET @saved_cs_results     = @@character_set_results */ ;
/*!50003 SET @saved_col_connection = @@collation_connection */ ;
/*!50003 SET character_set_client  = utf8mb4 */ ;
/*!50003 SET character_set_results = utf8mb4 */ ;
/*!50003 SET collation_connection  = utf8mb4_unicode_ci */ ;
/*!50003 SET @saved_sql_mode       = @@sql_mode */ ;
/*!50003 SET sql_mode              = 'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION' */ ;
DELIMITER ;;
/*!50003 CREATE*/ /*!50003 TRIGGER cards_change BEFORE UPDATE ON cards FOR EACH ROW SET NEW.changed_at = NOW(6) 
*/;;
DELIMITER ;
/*!50003 SET sql_mode              = @saved_sql_mode */ ;
/*!50003 SET character_set_client  = @saved_cs_client */ ;
/*!50003 SET character_set_results = @saved_cs_results */ ;
/*!50003 SET collation_connection  = @saved_col_connection */ ;
DROP TABLE IF EXISTS `corrections`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `corrections` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned NOT NULL,
  `revision` int(10) unsigned NOT NULL,
  `changes` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`changes`)),
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `corrections_card_id_revision_unique` (`card_id`,`revision`),
  CONSTRAINT `corrections_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `drive_checks`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `drive_checks` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `station_id` bigint(20) unsigned NOT NULL,
  `drive` varchar(20) NOT NULL,
  `folder` varchar(400) NOT NULL,
  `by` varchar(80) NOT NULL,
  `state` varchar(20) NOT NULL,
  `done` bigint(20) unsigned NOT NULL DEFAULT 0,
  `total` bigint(20) unsigned NOT NULL DEFAULT 0,
  `pid` int(10) unsigned DEFAULT NULL,
  `message` varchar(500) DEFAULT NULL,
  `lines` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`lines`)),
  `asked_at` datetime NOT NULL,
  `ended_at` datetime DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `drive_checks_station_id_foreign` (`station_id`),
  KEY `drive_checks_drive_index` (`drive`),
  CONSTRAINT `drive_checks_station_id_foreign` FOREIGN KEY (`station_id`) REFERENCES `stations` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `drive_findings`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `drive_findings` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `drive` varchar(20) NOT NULL,
  `offload_id` bigint(20) unsigned NOT NULL,
  `card_id` bigint(20) unsigned NOT NULL,
  `kind` varchar(20) NOT NULL,
  `path` varchar(400) NOT NULL,
  `by` varchar(80) NOT NULL,
  `found_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `drive_findings_offload_id_foreign` (`offload_id`),
  KEY `drive_findings_card_id_foreign` (`card_id`),
  KEY `drive_findings_drive_index` (`drive`),
  CONSTRAINT `drive_findings_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`),
  CONSTRAINT `drive_findings_offload_id_foreign` FOREIGN KEY (`offload_id`) REFERENCES `offloads` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `drives`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `drives` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tag` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `link` varchar(30) NOT NULL,
  `write` double NOT NULL,
  `read` double NOT NULL,
  `free` bigint(20) unsigned NOT NULL,
  `host_id` bigint(20) unsigned DEFAULT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `capacity` bigint(20) unsigned DEFAULT NULL,
  `kind` varchar(20) NOT NULL DEFAULT 'solid',
  `cache` bigint(20) unsigned DEFAULT NULL,
  `cache_write` double DEFAULT NULL,
  `measured` double DEFAULT NULL,
  `measured_how` varchar(120) DEFAULT NULL,
  `measured_run_id` bigint(20) unsigned DEFAULT NULL,
  `gone_on` date DEFAULT NULL,
  `gone_why` varchar(200) DEFAULT NULL,
  `gone_by` varchar(80) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `drives_tag_unique` (`tag`),
  KEY `drives_host_id_foreign` (`host_id`),
  KEY `drives_measured_run_id_foreign` (`measured_run_id`),
  CONSTRAINT `drives_host_id_foreign` FOREIGN KEY (`host_id`) REFERENCES `hosts` (`id`),
  CONSTRAINT `drives_measured_run_id_foreign` FOREIGN KEY (`measured_run_id`) REFERENCES `runs` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `erasures`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `erasures` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned DEFAULT NULL,
  `run_id` bigint(20) unsigned DEFAULT NULL,
  `what` varchar(200) NOT NULL,
  `path` varchar(500) NOT NULL,
  `medium` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`medium`)),
  `bytes` bigint(20) unsigned NOT NULL,
  `person` varchar(80) NOT NULL,
  `station` varchar(80) NOT NULL,
  `why` varchar(300) DEFAULT NULL,
  `erased_at` timestamp NOT NULL,
  PRIMARY KEY (`id`),
  KEY `erasures_card_id_foreign` (`card_id`),
  KEY `erasures_run_id_foreign` (`run_id`),
  CONSTRAINT `erasures_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`),
  CONSTRAINT `erasures_run_id_foreign` FOREIGN KEY (`run_id`) REFERENCES `runs` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `failed_jobs`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `failed_jobs` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `uuid` varchar(255) NOT NULL,
  `connection` text NOT NULL,
  `queue` text NOT NULL,
  `payload` longtext NOT NULL,
  `exception` longtext NOT NULL,
  `failed_at` timestamp NOT NULL DEFAULT current_timestamp(),
  PRIMARY KEY (`id`),
  UNIQUE KEY `failed_jobs_uuid_unique` (`uuid`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `footage_acts`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `footage_acts` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned NOT NULL,
  `bytes` bigint(20) unsigned NOT NULL,
  `note` varchar(300) DEFAULT NULL,
  `recorded_by` varchar(80) NOT NULL,
  `created_at` timestamp NOT NULL,
  `files` int(10) unsigned NOT NULL DEFAULT 0,
  PRIMARY KEY (`id`),
  KEY `footage_acts_card_id_foreign` (`card_id`),
  CONSTRAINT `footage_acts_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `heat_readings`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `heat_readings` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `run_id` bigint(20) unsigned NOT NULL,
  `at` bigint(20) unsigned DEFAULT NULL,
  `celsius` double NOT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `heat_readings_run_id_foreign` (`run_id`),
  CONSTRAINT `heat_readings_run_id_foreign` FOREIGN KEY (`run_id`) REFERENCES `runs` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `hosts`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `hosts` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(60) NOT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `preview_files` int(10) unsigned DEFAULT NULL,
  `preview_seconds` double DEFAULT NULL,
  `preview_how` varchar(120) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `hosts_name_unique` (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `house_reports`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `house_reports` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `from` date NOT NULL,
  `to` date NOT NULL,
  `todo` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`todo`)),
  `taken` int(10) unsigned NOT NULL,
  `figures` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`figures`)),
  `struck` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`struck`)),
  `carried` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`carried`)),
  `by` varchar(80) NOT NULL,
  `begun_at` timestamp NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `house_rules`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `house_rules` (
  `name` varchar(40) NOT NULL,
  `value` varchar(40) NOT NULL,
  `by` varchar(80) NOT NULL,
  `changed_at` datetime NOT NULL,
  `why` varchar(200) DEFAULT NULL,
  PRIMARY KEY (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `hub_ports`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `hub_ports` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `hub_id` bigint(20) unsigned NOT NULL,
  `name` varchar(60) NOT NULL,
  `link` varchar(30) NOT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `hub_ports_hub_id_name_unique` (`hub_id`,`name`),
  CONSTRAINT `hub_ports_hub_id_foreign` FOREIGN KEY (`hub_id`) REFERENCES `hubs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `hubs`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `hubs` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tag` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `uplink` varchar(30) NOT NULL,
  `port_id` bigint(20) unsigned DEFAULT NULL,
  `measured` double DEFAULT NULL,
  `measured_how` varchar(120) DEFAULT NULL,
  `measured_run_id` bigint(20) unsigned DEFAULT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `hubs_tag_unique` (`tag`),
  KEY `hubs_port_id_foreign` (`port_id`),
  CONSTRAINT `hubs_port_id_foreign` FOREIGN KEY (`port_id`) REFERENCES `ports` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `incidents`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `incidents` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned NOT NULL,
  `reader_id` bigint(20) unsigned DEFAULT NULL,
  `camera_id` bigint(20) unsigned DEFAULT NULL,
  `kind` varchar(16) NOT NULL,
  `note` varchar(200) NOT NULL,
  `recorded_by` varchar(80) NOT NULL,
  `happened_at` datetime NOT NULL,
  `created_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `incidents_card_id_foreign` (`card_id`),
  KEY `incidents_camera_id_foreign` (`camera_id`),
  KEY `incidents_reader_id_kind_index` (`reader_id`,`kind`),
  CONSTRAINT `incidents_camera_id_foreign` FOREIGN KEY (`camera_id`) REFERENCES `cameras` (`id`) ON DELETE SET NULL,
  CONSTRAINT `incidents_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`),
  CONSTRAINT `incidents_reader_id_foreign` FOREIGN KEY (`reader_id`) REFERENCES `readers` (`id`) ON DELETE SET NULL
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `inspections`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `inspections` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned NOT NULL,
  `question` varchar(20) NOT NULL,
  `answer` varchar(20) NOT NULL,
  `reader_id` bigint(20) unsigned DEFAULT NULL,
  `seen_by` varchar(80) NOT NULL,
  `withdrawn` varchar(200) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `inspections_card_id_id_index` (`card_id`,`id`),
  KEY `inspections_reader_id_id_index` (`reader_id`,`id`),
  CONSTRAINT `inspections_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`),
  CONSTRAINT `inspections_reader_id_foreign` FOREIGN KEY (`reader_id`) REFERENCES `readers` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `jobs`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `jobs` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `queue` varchar(255) NOT NULL,
  `payload` longtext NOT NULL,
  `attempts` tinyint(3) unsigned NOT NULL,
  `reserved_at` int(10) unsigned DEFAULT NULL,
  `available_at` int(10) unsigned NOT NULL,
  `created_at` int(10) unsigned NOT NULL,
  PRIMARY KEY (`id`),
  KEY `jobs_queue_index` (`queue`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `known_stations`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `known_stations` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `key` varchar(60) NOT NULL,
  `added_by` varchar(80) NOT NULL,
  `revoked_by` varchar(80) DEFAULT NULL,
  `revoked_at` datetime DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `known_stations_key_unique` (`key`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `long_questions`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `long_questions` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `person` bigint(20) unsigned NOT NULL,
  `asked_at` datetime NOT NULL,
  `is_page` tinyint(1) NOT NULL DEFAULT 1,
  PRIMARY KEY (`id`),
  KEY `long_questions_person_index` (`person`),
  KEY `long_questions_asked_at_index` (`asked_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `migrations`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `migrations` (
  `id` int(10) unsigned NOT NULL AUTO_INCREMENT,
  `migration` varchar(255) NOT NULL,
  `batch` int(11) NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `mode_calibrations`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `mode_calibrations` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `camera_mode_id` bigint(20) unsigned NOT NULL,
  `is_clip` tinyint(1) NOT NULL,
  `bytes` bigint(20) unsigned NOT NULL,
  `seconds` double NOT NULL,
  PRIMARY KEY (`id`),
  KEY `mode_calibrations_camera_mode_id_foreign` (`camera_mode_id`),
  CONSTRAINT `mode_calibrations_camera_mode_id_foreign` FOREIGN KEY (`camera_mode_id`) REFERENCES `camera_modes` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `offload_cards`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `offload_cards` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `offload_id` bigint(20) unsigned NOT NULL,
  `card_id` bigint(20) unsigned NOT NULL,
  `place` int(10) unsigned NOT NULL,
  `slot` varchar(120) NOT NULL,
  `turn` int(10) unsigned NOT NULL,
  `scheme` varchar(12) NOT NULL,
  `drives` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`drives`)),
  `folder` varchar(400) NOT NULL,
  `bytes` bigint(20) unsigned NOT NULL,
  `files` int(10) unsigned NOT NULL,
  `planned_in` double NOT NULL,
  `planned_free` double NOT NULL,
  `planned_clear` double DEFAULT NULL,
  `in_at` datetime(3) DEFAULT NULL,
  `free_at` datetime(3) DEFAULT NULL,
  `clear_at` datetime(3) DEFAULT NULL,
  `medium` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`medium`)),
  `confirmed_by` varchar(80) DEFAULT NULL,
  `footage_act_id` bigint(20) unsigned DEFAULT NULL,
  `found` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`found`)),
  `read_at` datetime(3) DEFAULT NULL,
  `refused` varchar(500) DEFAULT NULL,
  `refused_for` varchar(20) DEFAULT NULL,
  `less_by` varchar(80) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `offload_cards_offload_id_card_id_unique` (`offload_id`,`card_id`),
  KEY `offload_cards_card_id_foreign` (`card_id`),
  KEY `offload_cards_footage_act_id_foreign` (`footage_act_id`),
  CONSTRAINT `offload_cards_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`),
  CONSTRAINT `offload_cards_footage_act_id_foreign` FOREIGN KEY (`footage_act_id`) REFERENCES `footage_acts` (`id`) ON DELETE SET NULL,
  CONSTRAINT `offload_cards_offload_id_foreign` FOREIGN KEY (`offload_id`) REFERENCES `offloads` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!50003 SET @saved_cs_client      = @@character_set_client */ ;
/*!50003 SET @saved_cs_results     = @@character_set_results */ ;
/*!50003 SET @saved_col_connection = @@collation_connection */ ;
/*!50003 SET character_set_client  = utf8mb4 */ ;
/*!50003 SET character_set_results = utf8mb4 */ ;
/*!50003 SET collation_connection  = utf8mb4_unicode_ci */ ;
/*!50003 SET @saved_sql_mode       = @@sql_mode */ ;
/*!50003 SET sql_mode              = 'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION' */ ;
DELIMITER ;;
/*!50003 CREATE*/ /*!50003 TRIGGER offload_cards_change AFTER UPDATE ON offload_cards FOR EACH ROW IF NOT (NEW.clear_at <=> OLD.clear_at) THEN UPDATE cards SET changed_at = NOW(6) WHERE id = NEW.card_id; END IF 
*/;;
DELIMITER ;
/*!50003 SET sql_mode              = @saved_sql_mode */ ;
/*!50003 SET character_set_client  = @saved_cs_client */ ;
/*!50003 SET character_set_results = @saved_cs_results */ ;
/*!50003 SET collation_connection  = @saved_col_connection */ ;
DROP TABLE IF EXISTS `offload_copies`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `offload_copies` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `offload_card_id` bigint(20) unsigned NOT NULL,
  `nth` int(10) unsigned NOT NULL,
  `drive` varchar(20) NOT NULL,
  `state` varchar(12) NOT NULL,
  `copied` bigint(20) unsigned NOT NULL DEFAULT 0,
  `verified` bigint(20) unsigned NOT NULL DEFAULT 0,
  `planned` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`planned`)),
  `copy_at` datetime(3) DEFAULT NULL,
  `copied_at` datetime(3) DEFAULT NULL,
  `back_at` datetime(3) DEFAULT NULL,
  `verified_at` datetime(3) DEFAULT NULL,
  `message` varchar(500) DEFAULT NULL,
  `troubles` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`troubles`)),
  `lists` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`lists`)),
  `worker` int(10) unsigned DEFAULT NULL,
  `job_id` bigint(20) unsigned DEFAULT NULL,
  `place` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`place`)),
  `record` char(32) DEFAULT NULL,
  `standing` varchar(20) DEFAULT NULL,
  `standing_at` datetime DEFAULT NULL,
  `standing_by` varchar(80) DEFAULT NULL,
  `standing_note` varchar(300) DEFAULT NULL,
  `beat_at` datetime(3) DEFAULT NULL,
  `pid` int(10) unsigned DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `offload_copies_offload_card_id_drive_unique` (`offload_card_id`,`drive`),
  KEY `offload_copies_record_index` (`record`),
  CONSTRAINT `offload_copies_offload_card_id_foreign` FOREIGN KEY (`offload_card_id`) REFERENCES `offload_cards` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `offloads`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `offloads` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `station_id` bigint(20) unsigned NOT NULL,
  `name` varchar(80) NOT NULL,
  `goal` varchar(10) NOT NULL,
  `question` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`question`)),
  `decision` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`decision`)),
  `rates` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`rates`)),
  `planned` double NOT NULL,
  `plans` int(10) unsigned NOT NULL DEFAULT 1,
  `places` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`places`)),
  `is_made_up` tinyint(1) NOT NULL,
  `pace` double NOT NULL DEFAULT 1,
  `truth` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`truth`)),
  `state` varchar(12) NOT NULL,
  `by` varchar(80) NOT NULL,
  `began_at` datetime(3) NOT NULL,
  `ended_at` datetime(3) DEFAULT NULL,
  `pattern` varchar(160) DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `offloads_station_id_foreign` (`station_id`),
  CONSTRAINT `offloads_station_id_foreign` FOREIGN KEY (`station_id`) REFERENCES `stations` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `once_addresses`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `once_addresses` (
  `token` char(64) NOT NULL,
  `user_id` bigint(20) unsigned NOT NULL,
  `until` datetime NOT NULL,
  PRIMARY KEY (`token`),
  KEY `once_addresses_user_id_foreign` (`user_id`),
  KEY `once_addresses_until_index` (`until`),
  CONSTRAINT `once_addresses_user_id_foreign` FOREIGN KEY (`user_id`) REFERENCES `users` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `overrules`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `overrules` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned NOT NULL,
  `derived` varchar(12) NOT NULL,
  `verdict` varchar(12) NOT NULL,
  `reason` varchar(300) NOT NULL,
  `recorded_by` varchar(80) NOT NULL,
  `withdrawn` varchar(300) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `overrules_card_id_foreign` (`card_id`),
  CONSTRAINT `overrules_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `photos`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `photos` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned NOT NULL,
  `side` varchar(10) NOT NULL,
  `jpeg` mediumblob DEFAULT NULL,
  `file` varchar(120) DEFAULT NULL,
  `width` int(10) unsigned NOT NULL,
  `height` int(10) unsigned NOT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `photos_card_id_side_unique` (`card_id`,`side`),
  CONSTRAINT `photos_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `ports`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `ports` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `host_id` bigint(20) unsigned NOT NULL,
  `name` varchar(60) NOT NULL,
  `link` varchar(30) NOT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `controller` varchar(60) NOT NULL DEFAULT 'controller 1',
  `measured` double DEFAULT NULL,
  `measured_how` varchar(120) DEFAULT NULL,
  `measured_run_id` bigint(20) unsigned DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `ports_host_id_name_unique` (`host_id`,`name`),
  KEY `ports_measured_run_id_foreign` (`measured_run_id`),
  CONSTRAINT `ports_host_id_foreign` FOREIGN KEY (`host_id`) REFERENCES `hosts` (`id`),
  CONSTRAINT `ports_measured_run_id_foreign` FOREIGN KEY (`measured_run_id`) REFERENCES `runs` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `practice_rounds`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `practice_rounds` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `person` varchar(80) NOT NULL,
  `level` tinyint(3) unsigned NOT NULL,
  `seed` int(10) unsigned NOT NULL,
  `trick` varchar(30) NOT NULL,
  `moves` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`moves`)),
  `verdict` varchar(20) DEFAULT NULL,
  `holds` varchar(10) DEFAULT NULL,
  `capacity` bigint(20) unsigned DEFAULT NULL,
  `mistakes` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`mistakes`)),
  `began_at` timestamp NOT NULL,
  `called_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `practice_rounds_person_called_at_index` (`person`,`called_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `price_quotes`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `price_quotes` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `form` varchar(20) NOT NULL,
  `tier` smallint(5) unsigned NOT NULL,
  `capacity` bigint(20) unsigned NOT NULL,
  `price` bigint(20) unsigned NOT NULL,
  `currency` char(3) NOT NULL,
  `quoted_on` date NOT NULL,
  `source` varchar(80) NOT NULL,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `model` varchar(80) DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `price_quotes_form_tier_currency_index` (`form`,`tier`,`currency`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `purchase_savings`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `purchase_savings` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `purchase_id` bigint(20) unsigned NOT NULL,
  `what` varchar(40) NOT NULL,
  `seconds` double DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `purchase_savings_purchase_id_what_unique` (`purchase_id`,`what`),
  CONSTRAINT `purchase_savings_purchase_id_foreign` FOREIGN KEY (`purchase_id`) REFERENCES `purchases` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `purchases`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `purchases` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tag` varchar(20) NOT NULL,
  `name` varchar(120) NOT NULL,
  `price` bigint(20) unsigned NOT NULL,
  `currency` char(3) NOT NULL,
  `hour` bigint(20) unsigned NOT NULL,
  `expected` double NOT NULL,
  `a_month` double NOT NULL,
  `bought_on` date NOT NULL,
  `by` varchar(80) NOT NULL,
  `written_at` timestamp NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `reader_slots`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `reader_slots` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `reader_id` bigint(20) unsigned NOT NULL,
  `name` varchar(60) NOT NULL,
  `buses` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`buses`)),
  `lane` varchar(20) NOT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `adapter_id` bigint(20) unsigned DEFAULT NULL,
  `matches` varchar(60) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `reader_slots_reader_id_name_unique` (`reader_id`,`name`),
  KEY `reader_slots_adapter_id_foreign` (`adapter_id`),
  CONSTRAINT `reader_slots_adapter_id_foreign` FOREIGN KEY (`adapter_id`) REFERENCES `adapters` (`id`),
  CONSTRAINT `reader_slots_reader_id_foreign` FOREIGN KEY (`reader_id`) REFERENCES `readers` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `readers`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `readers` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `tag` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `uplink` varchar(30) NOT NULL,
  `camera` tinyint(1) NOT NULL DEFAULT 0,
  `recorded_by` varchar(80) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `cable_id` bigint(20) unsigned DEFAULT NULL,
  `measured` double DEFAULT NULL,
  `measured_how` varchar(120) DEFAULT NULL,
  `measured_run_id` bigint(20) unsigned DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `readers_tag_unique` (`tag`),
  KEY `readers_cable_id_foreign` (`cable_id`),
  KEY `readers_measured_run_id_foreign` (`measured_run_id`),
  CONSTRAINT `readers_cable_id_foreign` FOREIGN KEY (`cable_id`) REFERENCES `cables` (`id`),
  CONSTRAINT `readers_measured_run_id_foreign` FOREIGN KEY (`measured_run_id`) REFERENCES `runs` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `results_of_others`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `results_of_others` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned NOT NULL,
  `hash` char(64) NOT NULL,
  `verdict` varchar(20) NOT NULL,
  `runs` int(10) unsigned NOT NULL,
  `made_at` varchar(30) NOT NULL,
  `station` varchar(80) DEFAULT NULL,
  `key` varchar(60) DEFAULT NULL,
  `file` longtext NOT NULL,
  `recorded_by` varchar(80) NOT NULL,
  `created_at` timestamp NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `results_of_others_card_id_hash_unique` (`card_id`,`hash`),
  CONSTRAINT `results_of_others_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `rule_drafts`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `rule_drafts` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `shares` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`shares`)),
  `why` varchar(200) NOT NULL,
  `by` varchar(80) NOT NULL,
  `cards` int(10) unsigned NOT NULL,
  `looked` int(10) unsigned NOT NULL,
  `last` bigint(20) unsigned NOT NULL,
  `changes` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`changes`)),
  `begun_at` timestamp NOT NULL,
  `kept_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `run_samples`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `run_samples` (
  `run_id` bigint(20) unsigned NOT NULL,
  `traces` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`traces`)),
  PRIMARY KEY (`run_id`),
  CONSTRAINT `run_samples_run_id_foreign` FOREIGN KEY (`run_id`) REFERENCES `runs` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `run_voids`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `run_voids` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `run_id` bigint(20) unsigned NOT NULL,
  `reason` varchar(300) NOT NULL,
  `recorded_by` varchar(80) NOT NULL,
  `withdrawn` varchar(300) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `revoked_key` varchar(60) DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `run_voids_run_id_foreign` (`run_id`),
  KEY `run_voids_revoked_key_index` (`revoked_key`),
  CONSTRAINT `run_voids_run_id_foreign` FOREIGN KEY (`run_id`) REFERENCES `runs` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `runs`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `runs` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `card_id` bigint(20) unsigned NOT NULL,
  `station_id` bigint(20) unsigned DEFAULT NULL,
  `slot_id` bigint(20) unsigned DEFAULT NULL,
  `medium` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`medium`)),
  `medium_serial` varchar(120) DEFAULT NULL,
  `reader_id` bigint(20) unsigned DEFAULT NULL,
  `cable_id` bigint(20) unsigned DEFAULT NULL,
  `port_id` bigint(20) unsigned DEFAULT NULL,
  `drive_id` bigint(20) unsigned DEFAULT NULL,
  `kind` varchar(20) NOT NULL,
  `state` varchar(20) NOT NULL,
  `lane` tinyint(3) unsigned DEFAULT NULL,
  `job_id` bigint(20) unsigned DEFAULT NULL,
  `source` varchar(12) NOT NULL DEFAULT 'device',
  `origin` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`origin`)),
  `chain` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`chain`)),
  `parameters` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`parameters`)),
  `progress` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`progress`)),
  `result` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`result`)),
  `carried` double DEFAULT NULL,
  `carried_over` double DEFAULT NULL,
  `checkpoint` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`checkpoint`)),
  `message` varchar(1000) DEFAULT NULL,
  `beside` varchar(200) DEFAULT NULL,
  `stop_requested` tinyint(1) NOT NULL DEFAULT 0,
  `recorded_by` varchar(80) DEFAULT NULL,
  `started_at` timestamp NULL DEFAULT NULL,
  `ended_at` timestamp NULL DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `may_be_lost` varchar(300) DEFAULT NULL,
  `signed_by` varchar(60) DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `runs_slot_id_foreign` (`slot_id`),
  KEY `runs_card_id_id_index` (`card_id`,`id`),
  KEY `runs_station_id_state_index` (`station_id`,`state`),
  KEY `runs_cable_id_foreign` (`cable_id`),
  KEY `runs_port_id_foreign` (`port_id`),
  KEY `runs_drive_id_foreign` (`drive_id`),
  KEY `runs_kind_card_id_index` (`kind`,`card_id`),
  KEY `runs_reader_id_carried_index` (`reader_id`,`carried`),
  KEY `runs_medium_serial_index` (`medium_serial`),
  KEY `runs_signed_by_index` (`signed_by`),
  KEY `runs_state_card_id_index` (`state`,`card_id`),
  KEY `runs_of_a_time` (`ended_at`,`kind`,`card_id`,`started_at`),
  CONSTRAINT `runs_cable_id_foreign` FOREIGN KEY (`cable_id`) REFERENCES `cables` (`id`),
  CONSTRAINT `runs_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`),
  CONSTRAINT `runs_drive_id_foreign` FOREIGN KEY (`drive_id`) REFERENCES `drives` (`id`),
  CONSTRAINT `runs_port_id_foreign` FOREIGN KEY (`port_id`) REFERENCES `ports` (`id`),
  CONSTRAINT `runs_reader_id_foreign` FOREIGN KEY (`reader_id`) REFERENCES `readers` (`id`),
  CONSTRAINT `runs_slot_id_foreign` FOREIGN KEY (`slot_id`) REFERENCES `slots` (`id`),
  CONSTRAINT `runs_station_id_foreign` FOREIGN KEY (`station_id`) REFERENCES `stations` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!50003 SET @saved_cs_client      = @@character_set_client */ ;
/*!50003 SET @saved_cs_results     = @@character_set_results */ ;
/*!50003 SET @saved_col_connection = @@collation_connection */ ;
/*!50003 SET character_set_client  = utf8mb4 */ ;
/*!50003 SET character_set_results = utf8mb4 */ ;
/*!50003 SET collation_connection  = utf8mb4_unicode_ci */ ;
/*!50003 SET @saved_sql_mode       = @@sql_mode */ ;
/*!50003 SET sql_mode              = 'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION' */ ;
DELIMITER ;;
/*!50003 CREATE*/ /*!50003 TRIGGER runs_are_new AFTER INSERT ON runs FOR EACH ROW UPDATE cards SET changed_at = NOW(6) WHERE id = NEW.card_id 
*/;;
DELIMITER ;
/*!50003 SET sql_mode              = @saved_sql_mode */ ;
/*!50003 SET character_set_client  = @saved_cs_client */ ;
/*!50003 SET character_set_results = @saved_cs_results */ ;
/*!50003 SET collation_connection  = @saved_col_connection */ ;
/*!50003 SET @saved_cs_client      = @@character_set_client */ ;
/*!50003 SET @saved_cs_results     = @@character_set_results */ ;
/*!50003 SET @saved_col_connection = @@collation_connection */ ;
/*!50003 SET character_set_client  = utf8mb4 */ ;
/*!50003 SET character_set_results = utf8mb4 */ ;
/*!50003 SET collation_connection  = utf8mb4_unicode_ci */ ;
/*!50003 SET @saved_sql_mode       = @@sql_mode */ ;
/*!50003 SET sql_mode              = 'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION' */ ;
DELIMITER ;;
/*!50003 CREATE*/ /*!50003 TRIGGER runs_change AFTER UPDATE ON runs FOR EACH ROW IF NEW.state <> OLD.state THEN UPDATE cards SET changed_at = NOW(6) WHERE id = NEW.card_id; END IF 
*/;;
DELIMITER ;
/*!50003 SET sql_mode              = @saved_sql_mode */ ;
/*!50003 SET character_set_client  = @saved_cs_client */ ;
/*!50003 SET character_set_results = @saved_cs_results */ ;
/*!50003 SET collation_connection  = @saved_col_connection */ ;
/*!50003 SET @saved_cs_client      = @@character_set_client */ ;
/*!50003 SET @saved_cs_results     = @@character_set_results */ ;
/*!50003 SET @saved_col_connection = @@collation_connection */ ;
/*!50003 SET character_set_client  = utf8mb4 */ ;
/*!50003 SET character_set_results = utf8mb4 */ ;
/*!50003 SET collation_connection  = utf8mb4_unicode_ci */ ;
/*!50003 SET @saved_sql_mode       = @@sql_mode */ ;
/*!50003 SET sql_mode              = 'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION' */ ;
DELIMITER ;;
/*!50003 CREATE*/ /*!50003 TRIGGER runs_go AFTER DELETE ON runs FOR EACH ROW UPDATE cards SET changed_at = NOW(6) WHERE id = OLD.card_id 
*/;;
DELIMITER ;
/*!50003 SET sql_mode              = @saved_sql_mode */ ;
/*!50003 SET character_set_client  = @saved_cs_client */ ;
/*!50003 SET character_set_results = @saved_cs_results */ ;
/*!50003 SET collation_connection  = @saved_col_connection */ ;
DROP TABLE IF EXISTS `saved_plans`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `saved_plans` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `goal` varchar(10) NOT NULL,
  `question` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`question`)),
  `decision` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`decision`)),
  `rates` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`rates`)),
  `done` double NOT NULL,
  `free` double NOT NULL,
  `hands` int(10) unsigned NOT NULL,
  `recorded_by` varchar(80) NOT NULL,
  `created_at` datetime NOT NULL,
  `begun_at` datetime DEFAULT NULL,
  `free_at` datetime DEFAULT NULL,
  `done_at` datetime DEFAULT NULL,
  `note` varchar(300) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `saved_plans_name_unique` (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `sent_forms`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sent_forms` (
  `key` char(64) NOT NULL,
  `sent_at` timestamp NOT NULL,
  `done_at` datetime DEFAULT NULL,
  PRIMARY KEY (`key`),
  KEY `sent_forms_sent_at_index` (`sent_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `sessions`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sessions` (
  `id` varchar(255) NOT NULL,
  `user_id` bigint(20) unsigned DEFAULT NULL,
  `ip_address` varchar(45) DEFAULT NULL,
  `user_agent` text DEFAULT NULL,
  `payload` longtext NOT NULL,
  `last_activity` int(11) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `sessions_user_id_index` (`user_id`),
  KEY `sessions_last_activity_index` (`last_activity`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `shoot_cards`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `shoot_cards` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `shoot_id` bigint(20) unsigned NOT NULL,
  `card_id` bigint(20) unsigned NOT NULL,
  `place` smallint(5) unsigned NOT NULL,
  `turn` smallint(5) unsigned NOT NULL,
  `at` varchar(200) NOT NULL,
  `packed` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`packed`)),
  PRIMARY KEY (`id`),
  UNIQUE KEY `shoot_cards_shoot_id_card_id_unique` (`shoot_id`,`card_id`),
  KEY `shoot_cards_card_id_foreign` (`card_id`),
  CONSTRAINT `shoot_cards_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`),
  CONSTRAINT `shoot_cards_shoot_id_foreign` FOREIGN KEY (`shoot_id`) REFERENCES `shoots` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `shoots`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `shoots` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `begins` date NOT NULL,
  `days` smallint(5) unsigned NOT NULL,
  `question` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`question`)),
  `recorded_by` varchar(80) NOT NULL,
  `created_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `shoots_name_unique` (`name`),
  KEY `shoots_begins_index` (`begins`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `shown_plans`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `shown_plans` (
  `key` char(24) NOT NULL,
  `plan` longtext NOT NULL,
  `shown_at` timestamp NOT NULL,
  PRIMARY KEY (`key`),
  KEY `shown_plans_shown_at_index` (`shown_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `sign_in_tries`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sign_in_tries` (
  `key` char(64) NOT NULL,
  `tries` int(10) unsigned NOT NULL,
  `next_at` datetime NOT NULL,
  `tried_at` datetime NOT NULL,
  PRIMARY KEY (`key`),
  KEY `sign_in_tries_tried_at_index` (`tried_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `sign_ins`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `sign_ins` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `outcome` varchar(40) NOT NULL,
  `address` varchar(45) NOT NULL,
  `agent` varchar(200) NOT NULL,
  `created_at` timestamp NOT NULL,
  PRIMARY KEY (`id`),
  KEY `sign_ins_created_at_index` (`created_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `slots`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `slots` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `station_id` bigint(20) unsigned NOT NULL,
  `name` varchar(60) NOT NULL,
  `kind` varchar(20) NOT NULL,
  `reader_id` bigint(20) unsigned NOT NULL,
  `port_id` bigint(20) unsigned NOT NULL,
  `path` varchar(500) DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `seen` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`seen`)),
  `seen_at` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `slots_station_id_name_unique` (`station_id`,`name`),
  KEY `slots_reader_id_foreign` (`reader_id`),
  KEY `slots_port_id_foreign` (`port_id`),
  CONSTRAINT `slots_port_id_foreign` FOREIGN KEY (`port_id`) REFERENCES `ports` (`id`),
  CONSTRAINT `slots_reader_id_foreign` FOREIGN KEY (`reader_id`) REFERENCES `readers` (`id`),
  CONSTRAINT `slots_station_id_foreign` FOREIGN KEY (`station_id`) REFERENCES `stations` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `stations`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `stations` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(60) NOT NULL,
  `host_id` bigint(20) unsigned NOT NULL,
  `worker_seen_at` timestamp NULL DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `engine_write` double DEFAULT NULL,
  `engine_read` double DEFAULT NULL,
  `engine_of` varchar(64) DEFAULT NULL,
  `holder` varchar(250) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `stations_name_unique` (`name`),
  KEY `stations_host_id_foreign` (`host_id`),
  CONSTRAINT `stations_host_id_foreign` FOREIGN KEY (`host_id`) REFERENCES `hosts` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `stopped_recordings`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `stopped_recordings` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `camera_id` bigint(20) unsigned NOT NULL,
  `card_id` bigint(20) unsigned NOT NULL,
  `camera_mode_id` bigint(20) unsigned DEFAULT NULL,
  `cause` varchar(12) NOT NULL,
  `after` double DEFAULT NULL,
  `by` varchar(80) NOT NULL,
  `logged_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `stopped_recordings_camera_id_foreign` (`camera_id`),
  KEY `stopped_recordings_card_id_foreign` (`card_id`),
  KEY `stopped_recordings_camera_mode_id_foreign` (`camera_mode_id`),
  CONSTRAINT `stopped_recordings_camera_id_foreign` FOREIGN KEY (`camera_id`) REFERENCES `cameras` (`id`),
  CONSTRAINT `stopped_recordings_camera_mode_id_foreign` FOREIGN KEY (`camera_mode_id`) REFERENCES `camera_modes` (`id`) ON DELETE SET NULL,
  CONSTRAINT `stopped_recordings_card_id_foreign` FOREIGN KEY (`card_id`) REFERENCES `cards` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `updates`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `updates` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `changes` int(10) unsigned NOT NULL,
  `backup` varchar(300) NOT NULL,
  `verdicts` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`verdicts`)),
  `made_at` datetime NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `users`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `users` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(80) NOT NULL,
  `password` varchar(255) NOT NULL,
  `must_change` tinyint(1) NOT NULL DEFAULT 0,
  `disabled_at` timestamp NULL DEFAULT NULL,
  `created_at` timestamp NULL DEFAULT NULL,
  `updated_at` timestamp NULL DEFAULT NULL,
  `welcomed_at` datetime DEFAULT NULL,
  `role` varchar(20) NOT NULL DEFAULT 'viewer',
  PRIMARY KEY (`id`),
  UNIQUE KEY `users_name_unique` (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
DROP TABLE IF EXISTS `waiting_tables`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `waiting_tables` (
  `id` char(26) NOT NULL,
  `name` varchar(80) NOT NULL,
  `refused` varchar(600) DEFAULT NULL,
  `rows` mediumblob DEFAULT NULL,
  `sent_at` datetime NOT NULL,
  PRIMARY KEY (`id`),
  KEY `waiting_tables_sent_at_index` (`sent_at`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
/*!40103 SET TIME_ZONE=@OLD_TIME_ZONE */;

/*!40101 SET SQL_MODE=@OLD_SQL_MODE */;
/*!40014 SET FOREIGN_KEY_CHECKS=@OLD_FOREIGN_KEY_CHECKS */;
/*!40014 SET UNIQUE_CHECKS=@OLD_UNIQUE_CHECKS */;
/*!40111 SET SQL_NOTES=@OLD_SQL_NOTES */;

/*M!999999\- enable the sandbox mode */ 
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (1,'2026_11_25_000001_create_gear',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (2,'2026_11_25_000002_create_cards',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (3,'2026_11_25_000003_create_runs',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (4,'2026_11_25_000004_add_origin_and_inspections',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (5,'2026_11_25_000005_widen_gear',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (6,'2026_11_25_000006_widen_runs',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (7,'2026_11_25_000007_prove_raw',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (8,'2026_11_26_000008_type_evidence',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (9,'2026_11_26_000009_let_people_overrule',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (10,'2026_11_26_000010_know_the_medium',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (11,'2026_11_26_000011_no_stale_saves',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (12,'2026_11_26_000012_keep_results_of_others_apart',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (13,'2026_11_26_000013_tell_what_changed',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (14,'2026_11_26_000014_let_people_sign_in',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (15,'2026_11_26_000015_count_the_line_from_an_index',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (16,'2026_11_26_000016_keep_photos_in_the_books',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (17,'2026_11_27_000017_plan_the_offload',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (18,'2026_11_27_000018_offloads',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (19,'2026_11_27_000019_drive_findings',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (20,'2026_11_27_000020_fit_cards_to_modes',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (21,'2026_11_27_000021_cards_in_bodies',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (22,'2026_11_27_000022_shoots',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (23,'2026_11_27_000023_ledger',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (24,'2026_11_27_000024_what_to_buy',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (25,'2026_11_27_000025_book_lines',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (26,'2026_11_27_000026_why_a_rule',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (27,'2026_11_27_000027_practice',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (28,'2026_11_27_000028_rule_drafts',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (29,'2026_11_27_000029_house_reports',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (30,'2026_11_30_000030_what_is_safe',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (31,'2026_11_30_000031_label_lines',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (32,'2026_12_01_000032_benches',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (33,'2026_12_01_000033_sittings',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (34,'2026_12_01_000034_sign_in',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (35,'2026_12_01_000035_waiting_tables',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (36,'2026_12_01_000036_long_questions',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (37,'2026_12_01_000037_known_stations',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (38,'2026_12_01_000038_updates',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (39,'2026_12_01_000039_a_house_of_many_cards',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (40,'2026_12_01_000040_a_role_is_a_word',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (41,'2026_12_01_000041_orders_under_new_names',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (42,'2026_12_01_000042_pages_before_what_stands_beside',1);
INSERT INTO `migrations` (`id`, `migration`, `batch`) VALUES (43,'2026_12_01_000043_kinds_of_drives',1);
