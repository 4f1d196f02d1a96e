@echo off
rem Jolly Spindle. Builds on first use and whenever a source is newer, then runs.
setlocal
set "HOME_DIR=%~dp0"
set "APP=%HOME_DIR%desktop\target\app"
set "STAMP=%APP%\.built"
set "ARCHIVE=%APP%\spindle.jsa"

where java >nul 2>nul
if errorlevel 1 (
  echo spindle: Java isn't installed. Jolly Spindle needs a JDK of version 17 or newer. 1>&2
  exit /b 1
)

powershell -NoProfile -Command "$s=Get-Item -ErrorAction SilentlyContinue '%STAMP%'; if(-not $s){exit 1}; $n=Get-ChildItem -Recurse -File '%HOME_DIR%pom.xml','%HOME_DIR%core','%HOME_DIR%files','%HOME_DIR%command','%HOME_DIR%desktop' | Where-Object {$_.FullName -notmatch '\\target\\|\\src\\test\\' -and $_.LastWriteTime -gt $s.LastWriteTime} | Select-Object -First 1; if($n){exit 1}"
if errorlevel 1 (
  echo spindle: building... 1>&2
  pushd "%HOME_DIR%"
  call mvn -B -q -DskipTests -Dspotless.check.skip=true -pl desktop -am package
  if errorlevel 1 (
    popd
    echo spindle: the build failed. 1>&2
    exit /b 1
  )
  popd
  copy /y "%HOME_DIR%desktop\target\spindle-desktop-*.jar" "%APP%\" >nul
  rem What is loaded at every start is put in an archive that Java only has to map.
  if exist "%ARCHIVE%" del /f /q "%ARCHIVE%"
  java "-XX:ArchiveClassesAtExit=%ARCHIVE%" -Xlog:disable -cp "%APP%\*" jollyspindle.desktop.app.Main ready >nul 2>nul
  type nul > "%STAMP%"
)

rem Compiled for long runs only what has run for longer than usual: at the start the processor has better things to do.
set "PATIENT=-XX:+IgnoreUnrecognizedVMOptions -XX:Tier4InvocationThreshold=20000 -XX:Tier4MinInvocationThreshold=4000 -XX:Tier4CompileThreshold=60000 -XX:Tier4BackEdgeThreshold=200000"
java %PATIENT% "-XX:SharedArchiveFile=%ARCHIVE%" -Xshare:auto -Xlog:disable "-Dspindle.home=%HOME_DIR%." -cp "%APP%\*" jollyspindle.desktop.app.Main %*
exit /b %ERRORLEVEL%
