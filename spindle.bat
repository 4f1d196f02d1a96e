@echo off
rem Jolly Spindle. Builds on first use and whenever a source is newer, then runs.
setlocal
set "HOME_DIR=%~dp0"
set "APP=%HOME_DIR%desktop\target\app"
set "STAMP=%APP%\.built"

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
  type nul > "%STAMP%"
)

java "-Dspindle.home=%HOME_DIR%." -cp "%APP%\*" jollyspindle.desktop.app.Main %*
exit /b %ERRORLEVEL%
